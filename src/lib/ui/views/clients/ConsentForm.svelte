<script lang="ts">
	import { saidDay } from '$lib/core/client/saidDay';
	import type { Client, ClientChange } from '$lib/core/records/client';

	interface Props {
		client: Client;
		today: string;
		newId: () => string;
		onchange: (change: ClientChange) => void;
	}
	let { client, today, newId, onchange }: Props = $props();
	let what = $state('');
	let trouble = $state('');
	const uid = $props.id();
	function add() {
		const words = what.trim();
		trouble = words ? '' : 'What was agreed: write it down as it was said, for example “face and neck, oil, no photographs”.';
		if (!words) return;
		const consent = { id: newId(), what: words, on: today, withdrawn: null };
		onchange(({ consents }) => ({ consents: [...consents, consent] }));
		what = '';
	}
	const withdraw = (id: string) =>
		onchange(({ consents }) => ({ consents: consents.map((c) => (c.id === id ? { ...c, withdrawn: today } : c)) }));
</script>

<fieldset>
	<legend class="label">Consent, in the words of your practice</legend>
	<ul class="text-[13px] leading-[18px]">
		{#each client.consents as consent (consent.id)}
			<li class="border-hair flex items-start gap-2 border-b py-1">
				<span class="min-w-0 flex-1 {consent.withdrawn ? 'text-ink3 line-through' : ''}">{saidDay(consent.on)}: {consent.what}</span>
				{#if consent.withdrawn}<span class="text-ink2">withdrawn {saidDay(consent.withdrawn)}</span>{:else}<button
						type="button"
						class="btn"
						onclick={() => withdraw(consent.id)}>Withdrawn</button
					>{/if}
			</li>
		{/each}
	</ul>
	<div class="mt-1.5 flex gap-2">
		<label class="sr-only" for={uid}>What was agreed today</label>
		<input
			autocomplete="off"
			id={uid}
			class="field flex-1"
			maxlength="2000"
			placeholder="What was agreed today"
			bind:value={what}
			aria-invalid={Boolean(trouble)}
			aria-describedby={trouble ? `${uid}-t` : undefined}
		/>
		<button type="button" class="btn" onclick={add}>Note it</button>
	</div>
	{#if trouble}<p id="{uid}-t" class="text-flag pt-1 text-[12.5px]" role="alert">{trouble}</p>{/if}
</fieldset>
