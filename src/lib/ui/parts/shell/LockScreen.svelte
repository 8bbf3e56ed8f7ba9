<script lang="ts">
	import { untrack } from 'svelte';
	import type { LockState } from '$lib/state/lock.svelte';
	import { dayAndHour } from '../dates';
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

	$effect(() => {
		if (!closing) untrack(() => field?.focus());
	});
	async function open(event: SubmitEvent) {
		event.preventDefault();
		if (opening || lock.wait > 0) return;
		opening = true;
		trouble = '';
		try {
			if (!(await lock.open(typed))) typed = '';
		} catch (error) {
			trouble = `The lock could not be read (${error instanceof Error ? error.message : String(error)}). Reload the page; nothing is lost.`;
		} finally {
			opening = false;
			field?.focus();
		}
	}
</script>

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
		<h1 class="flare text-[26px] leading-tight font-[540]">The records are locked</h1>
		{#if closing}
			<p class="text-ink2 mt-2 min-h-[180px] text-[14px]" role="status">Locking …</p>
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
					{opening ? 'Opening …' : lock.wait > 0 ? `Wait ${lock.wait} s` : 'Open'}
				</button>
			</form>
			<p id="lock-said" class="mt-3 min-h-10 text-[13.5px] leading-5" role="alert">
				{#if trouble}{trouble}
				{:else if lock.said}<span class="text-flag">{lock.said}</span>
					{#if (lock.row?.failed ?? 0) > 0}
						Tries without success: {lock.row?.failed}. Each makes the next wait longer; nothing is ever deleted by them.{/if}
				{/if}
			</p>
			<details class="border-hair mt-4 border-t pt-3 text-[13px] leading-5" bind:open={forgotten}>
				<summary class="text-ink2 cursor-pointer">I have forgotten it</summary>
				<p class="text-ink2 my-2">
					Nobody can open these records without the passphrase, we neither. If you have a backup file, you can begin anew here and import
					it: what was recorded since that export is lost{lock.row ? `. The lock is on since ${dayAndHour(lock.row.since)}` : ''}.
				</p>
				<label class="label" for="lock-sure">Type “delete all” to delete everything in this browser</label>
				<div class="flex gap-2">
					<input id="lock-sure" class="field" bind:value={sure} autocomplete="off" />
					<button type="button" class="btn" disabled={sure.trim().toLowerCase() !== 'delete all'} onclick={onbegin}>Delete all</button>
				</div>
			</details>
		{/if}
	</div>
</main>
