<script lang="ts">
	import { untrack } from 'svelte';
	import type { LockState } from '$lib/state/lock.svelte';
	import { dayAndHour } from '../dates';
	import { namesOfDamaged, storageTrouble } from '$lib/state/trouble';
	import SecretField from '../controls/SecretField.svelte';

	interface Props {
		lock: LockState;
		/** Deletes everything, so that one can begin anew without the passphrase. */
		onbegin: () => void;
	}
	let { lock, onbegin }: Props = $props();
	let typed = $state('');
	let opening = $state(false);
	let field = $state<HTMLInputElement | null>(null);
	let forgotten = $state(false);
	let sure = $state('');
	let trouble = $state('');
	const closing = $derived(lock.phase === 'closing');
	const moving = $derived(lock.phase === 'moving');

	$effect(() => {
		if (!closing && !moving) untrack(() => field?.focus());
	});
	const damagedSaid = $derived(
		`${lock.damaged.length === 1 ? 'One record' : `${lock.damaged.length} records`} cannot be opened any more: ${namesOfDamaged(lock.damaged)}.`
	);
	async function open(event: Event, leaveOut?: boolean) {
		event.preventDefault();
		if (opening || lock.wait > 0) return;
		opening = true;
		trouble = '';
		try {
			if (!(await lock.open(typed, leaveOut)) && !lock.damaged.length) typed = '';
		} catch (error) {
			trouble = `${storageTrouble(error)} Nothing is lost; reload the page and open the records again.`;
		} finally {
			opening = false;
			field?.focus();
		}
	}
</script>

{#snippet deleting()}
	<label class="label" for="lock-sure">Type “delete all” to delete everything in this browser</label>
	<div class="flex gap-2">
		<input id="lock-sure" class="field" bind:value={sure} autocomplete="off" />
		<button type="button" class="btn" disabled={sure.trim().toLowerCase() !== 'delete all'} onclick={onbegin}>Delete all</button>
	</div>
{/snippet}

<!-- Nothing of a client stands here: no name, no number of records. -->
<main class="grid min-h-dvh content-center justify-items-center px-5 py-10">
	<div class="w-full max-w-[400px]">
		<svg class="mb-6 w-full" viewBox="0 0 400 74" fill="none" stroke-linecap="round" stroke-width="3" aria-hidden="true">
			<path d="M3 37H397" stroke="var(--ink)" stroke-width="1.5" />
			<path d="M3 37C120 37 132 9 172 9C206 9 206 37 226 37" stroke="var(--drain)" opacity="0.9" />
			<path d="M174 37C194 37 196 65 230 65C268 65 282 37 397 37" stroke="var(--lift)" opacity="0.9" />
			<rect x="186" y="23" width="28" height="28" rx="8" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.5" />
			<path d="M200 33v8" stroke="var(--ink)" stroke-width="2.5" />
		</svg>
		<h1 class="flare text-[26px] leading-tight font-[540]">
			{moving ? 'The records are moving' : lock.phase === 'lost' ? 'The records cannot be opened' : 'The records are locked'}
		</h1>
		{#if closing}
			{#if lock.unstored}
				<div class="mt-2 space-y-3 text-[14px] leading-5" role="alert">
					<p>Not everything could be stored before locking. {lock.unstored}</p>
					<button type="button" class="btn" onclick={lock.leaveUnstored}>Lock without it</button>
				</div>
			{:else}<p class="text-ink2 mt-2 min-h-[180px] text-[14px]" role="status">Locking …</p>{/if}
		{:else if moving}
			<p class="text-ink2 mt-2 min-h-10 text-[14px] leading-5" role="status">{lock.doing}</p>
			{#if lock.said}
				<p class="text-[14px] leading-5" role="alert">{lock.said}</p>
				<button type="button" class="btn mt-3" onclick={() => location.reload()}>Open the records</button>
			{:else}<p class="text-ink2 mt-3 text-[13px] leading-5">
					All windows wait. If this is broken off, nothing is lost: it goes on when the records are opened next.
				</p>{/if}
		{:else if lock.phase === 'lost'}
			<div class="mt-2 space-y-2 text-[14px] leading-5">
				<p>
					Sealed records lie in this browser, and what opens them is gone from both places in which it is kept. No passphrase opens them any
					more.
				</p>
				<p>
					A backup brings back what was recorded until it was exported: delete what lies here, then import the backup on the page Exchange.
				</p>
			</div>
			{@render deleting()}
		{:else}
			<p class="text-ink2 mt-1.5 text-[14px] leading-5">
				Open them for this sitting{lock.row?.idleMinutes ? `; they lock again after ${lock.row.idleMinutes} min without a touch` : ''}.
			</p>
			<form class="mt-5 space-y-3" onsubmit={open}>
				<SecretField
					label="Passphrase"
					large
					autocomplete="current-password"
					value={typed}
					bind:field
					ontype={(t) => (typed = t)}
					describedby="lock-said"
				/>
				<button type="submit" class="btn btn-primary btn-large w-full" disabled={opening || lock.wait > 0 || !typed}>
					{opening ? lock.doing || 'Opening …' : lock.wait > 0 ? `Wait ${lock.wait} s` : 'Open'}
				</button>
			</form>
			<p id="lock-said" class="mt-3 min-h-10 text-[13.5px] leading-5" role="alert">
				{#if trouble}{trouble}
				{:else if lock.said}<span class="text-flag">{lock.said}</span>
					{#if (lock.row?.failed ?? 0) > 0}
						Tries without success: {lock.row?.failed}. Each makes the next wait longer; nothing is ever deleted by them.{/if}
				{/if}
			</p>
			{#if lock.damaged.length}
				<div class="border-flag bg-sheet space-y-2 rounded-xl border p-3 text-[13.5px] leading-5" role="alert">
					<p>{damagedSaid} All others are taken over. What stays behind is gone for good; a backup from before may hold it.</p>
					<div class="flex flex-wrap gap-2">
						<button type="button" class="btn" onclick={(e) => open(e, true)}>Leave them out and go on</button>
						<button type="button" class="btn" onclick={lock.openAsItIs}>Open as it is</button>
					</div>
				</div>
			{/if}
			<details class="border-hair mt-4 border-t pt-3 text-[13px] leading-5" bind:open={forgotten}>
				<summary class="text-ink2 cursor-pointer">I have forgotten it</summary>
				<p class="text-ink2 my-2">
					Nobody can open these records without the passphrase, we neither. If you have a backup file, you can begin anew here and import
					it: what was recorded since that export is lost{lock.row ? `. The lock is on since ${dayAndHour(lock.row.since)}` : ''}.
				</p>
				{@render deleting()}
			</details>
		{/if}
	</div>
</main>
