<script lang="ts">
	import { byTwoSchools } from '$lib/ui/parts/shell/addresses';
	import Copy from '@lucide/svelte/icons/copy';
	import Pencil from '@lucide/svelte/icons/pencil';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { toast } from 'svelte-sonner';
	import { RULES } from '$lib/core/rules';
	import { severityIn } from '$lib/core/rules/rule';
	import { RULE_TEXTS } from '$lib/core/rules/texts';
	import { policiesOf } from '$lib/core/school/policies';
	import type { School } from '$lib/core/school/school.schema';
	import { SCHOOLS } from '$lib/core/school/schools';
	import { CustomEditing } from '$lib/state/customEditing.svelte';
	import { useApp } from '$lib/state/app.svelte';
	import GoneDialog from '$lib/ui/parts/shell/GoneDialog.svelte';
	import SecondVersions from '$lib/ui/parts/shell/SecondVersions.svelte';
	import SchoolForm from '$lib/ui/views/library/SchoolForm.svelte';
	import Pennant from '$lib/ui/parts/glyphs/Pennant.svelte';

	const app = useApp();
	const schools = $derived([...app.own.schools, ...SCHOOLS]);
	const ownIds = $derived(new Set(app.own.schools.map((s) => s.id)));
	let openId = $state<string>(SCHOOLS[0]!.id);
	const editing = new CustomEditing<School>(app, 'school');
	const open = $derived(schools.find((s) => s.id === openId) ?? schools[0]!);
	const different = $derived(
		RULES.map((rule) => ({ rule, severity: severityIn(rule, { stepIds: [] }, open) })).filter(
			({ rule, severity }) => severity !== rule.severity
		)
	);
	async function save(school: School) {
		if (await editing.keep(school)) openId = school.id;
	}
	async function remove(school: School) {
		const record = await app.run(() => app.repo.removeCustom('school', school.id));
		if (!record) return;
		toast(`“${school.title}” is removed. Sequences keep their copies.`, {
			duration: 15_000,
			action: { label: 'Put it back', onClick: () => void app.run(() => app.repo.putCustomBack('school', record)) }
		});
	}
</script>

<div class="grid min-h-0 flex-1 grid-cols-1 lg:grid-cols-[260px_minmax(0,1fr)]">
	<h1 class="sr-only">Schools</h1>
	<ul class="border-hair min-h-0 overflow-y-auto py-2 lg:border-r" aria-label="Schools">
		{#each schools as school (school.id)}
			<li>
				<button
					type="button"
					class="w-full px-4 py-2 text-left {school.id === open.id ? 'bg-wash font-semibold' : 'hover:bg-wash/50'}"
					aria-pressed={school.id === open.id}
					onclick={() => {
						openId = school.id;
						editing.leave();
					}}
					>{school.title}{#if ownIds.has(school.id)}<span class="text-ink2 font-normal"> · yours</span>{/if}</button
				>
			</li>
		{/each}
	</ul>
	<section class="min-h-0 overflow-y-auto px-6 pt-3 pb-8" aria-label={open.title}>
		<SecondVersions kind="school" id={open.id} onsettled={editing.leave} />
		{#if editing.item}
			<SchoolForm school={editing.item} onsave={save} oncancel={editing.leave} />
		{:else}
			<h2 class="flare text-[22px] leading-8 font-[520]">{open.title}</h2>
			<p class="mt-1 max-w-[68ch] text-[13.5px] leading-5">{open.reason}</p>
			<p class="text-ink2 mt-1 max-w-[68ch] leading-[18px]"><b class="font-semibold">Others say:</b> {open.others}</p>
			<div class="flex flex-wrap gap-2 py-3">
				<button
					type="button"
					class="btn btn-primary"
					onclick={() => editing.begin({ ...open, id: `own-${app.repo.stamp().newId()}`, title: `${open.title}, mine`.slice(0, 120) })}
					><Copy size={14} />Copy as mine</button
				>
				{#if ownIds.has(open.id)}
					<button type="button" class="btn" onclick={() => editing.change(open.id)}><Pencil size={14} />Change</button>
					<button type="button" class="btn" onclick={() => remove(open)}><Trash2 size={14} />Remove</button>
				{/if}
				<a class="btn" href={byTwoSchools({ a: open.id })}>Beside another school</a>
			</div>
			<dl class="border-hair grid max-w-[760px] grid-cols-[130px_minmax(0,1fr)] border-t text-[13px] leading-5">
				{#each policiesOf(open) as policy (policy.name)}
					<dt class="text-ink3 border-hair border-b py-1.5">{policy.name}</dt>
					<dd class="border-hair border-b py-1.5">{policy.text}<span class="text-ink2 block text-xs leading-4">{policy.why}</span></dd>
				{/each}
			</dl>
			{#if different.length}
				<h3 class="mt-5 text-[13.5px] font-semibold">Rules that it takes otherwise</h3>
				<ul class="mt-1 max-w-[760px]">
					{#each different as { rule, severity } (rule.id)}
						<li class="flex items-center gap-2 py-0.5">
							<Pennant {severity} size={14} /><a class="dotted" href="/library/rules?rule={rule.id}">{RULE_TEXTS[rule.id]!.title}</a>
							<span class="text-ink2">{severity}, elsewhere {rule.severity}</span>
						</li>
					{/each}
				</ul>
			{/if}
		{/if}
	</section>
</div>
{#if editing.gone}<GoneDialog {...editing.gone} onkeep={editing.keepAsNew} ondrop={editing.leave} />{/if}
