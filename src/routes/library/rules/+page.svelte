<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { RULES } from '$lib/core/rules';
	import { RULE_KINDS, type RuleKind } from '$lib/core/rules/rule';
	import { RULE_TEXTS, whyOf } from '$lib/core/rules/texts';
	import { useApp } from '$lib/state/app.svelte';
	import Pennant from '$lib/ui/parts/glyphs/Pennant.svelte';
	import RuleDetail from '$lib/ui/views/library/RuleDetail.svelte';

	const app = useApp();
	let wish = $state('');
	const asked = $derived(
		RULES.filter((r) => {
			return `${RULE_TEXTS[r.id]!.title} ${whyOf(r.id, app.context.working)} ${r.id}`.toLowerCase().includes(wish.trim().toLowerCase());
		})
	);
	const kinds = $derived(
		(Object.keys(RULE_KINDS) as RuleKind[])
			.map((kind) => ({ kind, rules: asked.filter((r) => r.kind === kind) }))
			.filter((k) => k.rules.length)
	);
	const open = $derived(RULES.find((r) => r.id === page.url.searchParams.get('rule')) ?? kinds[0]?.rules[0] ?? RULES[0]!);
	const show = (id: string) => goto(`/library/rules?rule=${id}`, { replaceState: true, keepFocus: true, noScroll: true });
</script>

<div class="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[300px_minmax(0,1fr)]">
	<h1 class="sr-only">Rules</h1>
	<nav class="border-hair flex min-h-0 flex-col lg:border-r" aria-label="Rules">
		<div class="px-4 pt-2 pb-1">
			<input autocomplete="off" type="search" class="field" aria-label="Find a rule" placeholder="a word of it" bind:value={wish} />
			<p class="text-ink2 pt-1 text-xs" role="status">
				{asked.length} of {RULES.length} rules, {RULES.filter((r) => r.fix).length} with a fix
			</p>
		</div>
		<div class="min-h-0 flex-1 overflow-y-auto pb-4 max-lg:max-h-64">
			{#each kinds as { kind, rules } (kind)}
				<h2 class="text-ink2 px-4 pt-2 text-xs font-semibold">{RULE_KINDS[kind]}</h2>
				<ul>
					{#each rules as rule (rule.id)}
						<li>
							<button
								type="button"
								class="flex w-full items-center gap-2 px-4 py-1 text-left {rule.id === open.id
									? 'bg-wash font-semibold'
									: 'hover:bg-wash/50'}"
								aria-pressed={rule.id === open.id}
								onclick={() => show(rule.id)}
								><Pennant severity={rule.severity} size={13} /><span class="truncate">{RULE_TEXTS[rule.id]!.title}</span></button
							>
						</li>
					{/each}
				</ul>
			{/each}
		</div>
	</nav>
	<section class="min-h-0 overflow-y-auto px-6 pt-3 pb-8" aria-label="The rule">
		{#key open.id}<RuleDetail rule={open} context={app.context} own={app.own.schools} />{/key}
	</section>
</div>
