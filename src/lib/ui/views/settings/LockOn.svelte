<script lang="ts">
	import { untrack } from 'svelte';
	import type { LockState } from '$lib/state/lock.svelte';
	import { LockChange } from '$lib/state/lockChange.svelte';
	import SecretField from '$lib/ui/parts/controls/SecretField.svelte';
	import { dayAndHour } from '$lib/ui/parts/dates';
	import IdleMinutes from './IdleMinutes.svelte';

	let { lock }: { lock: LockState } = $props();
	const row = $derived(lock.row);
	let [from, to, again, off] = $state(['', '', '', '']);
	const changing = new LockChange(untrack(() => lock));

	async function change(event: SubmitEvent) {
		event.preventDefault();
		if (await changing.change(from, to, again)) [from, to, again] = ['', '', ''];
	}
	async function takeOff(event: SubmitEvent) {
		event.preventDefault();
		await changing.takeOff(off);
	}
</script>

{#if row}
	<dl class="grid grid-cols-1 gap-x-4 gap-y-2 text-[13.5px] sm:grid-cols-[150px_1fr]">
		<dt class="text-ink2">Lock set</dt>
		<dd>{dayAndHour(row.since)}</dd>
		<dt class="text-ink2">Sealed</dt>
		<dd>
			{row.move ? 'not yet every record: it goes on when they are opened next' : 'every record in this browser'}
		</dd>
	</dl>
	<div class="flex flex-wrap items-center gap-x-8 gap-y-3 py-4">
		<button type="button" class="btn btn-primary btn-large" onclick={lock.shut}>Lock now</button>
		<IdleMinutes value={row.idleMinutes} onchange={(minutes) => void changing.setIdle(minutes)} />
	</div>
	<p class="text-ink2 pb-2 text-[13px]">
		By keys: Alt + Shift + L, on every page. A running stage never locks. All windows of this browser lock together.
	</p>
	<p class="text-flag min-h-6 text-[13.5px]" role="alert">{changing.problem}</p>
	<p class="min-h-6 text-[13.5px]" role="status">{changing.doing || changing.said}</p>
	<div class="grid gap-x-10 gap-y-6 md:grid-cols-2">
		<form onsubmit={change} aria-label="Change the passphrase">
			<h2 class="border-ink border-b pb-1 text-[15px] font-semibold">Change the passphrase</h2>
			<div class="space-y-2.5 pt-3">
				<SecretField label="Passphrase until now" autocomplete="current-password" value={from} ontype={(t) => (from = t)} />
				<SecretField label="New passphrase" autocomplete="new-password" value={to} ontype={(t) => (to = t)} />
				<SecretField label="New passphrase again" autocomplete="new-password" value={again} ontype={(t) => (again = t)} />
				<button type="submit" class="btn" disabled={changing.doing !== '' || !from}>Change it</button>
			</div>
		</form>
		<form onsubmit={takeOff} aria-label="Take the lock off">
			<h2 class="border-ink border-b pb-1 text-[15px] font-semibold">Take the lock off</h2>
			<p class="text-ink2 pt-3 text-[13.5px] leading-5">
				Every record is made readable again for whoever can use this browser. Nothing is lost; if it is broken off, it goes on at the next
				opening.
			</p>
			<div class="space-y-2.5 pt-2.5">
				<SecretField label="Passphrase to take it off" autocomplete="current-password" value={off} ontype={(t) => (off = t)} />
				<button type="submit" class="btn" disabled={changing.doing !== '' || !off}>Take it off</button>
			</div>
		</form>
	</div>
{/if}
