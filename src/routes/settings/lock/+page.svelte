<script lang="ts">
	import { onMount } from 'svelte';
	import { useApp } from '$lib/state/app.svelte';
	import { LockSetup } from '$lib/state/lockSetup.svelte';
	import { canSeal } from '$lib/store/lock/sealing';
	import LockOn from '$lib/ui/views/settings/LockOn.svelte';
	import LockSteps from '$lib/ui/views/settings/LockSteps.svelte';

	const app = useApp();
	const setup = new LockSetup(app.lock);
	onMount(() => {
		window.addEventListener('pagehide', setup.leave);
		return () => {
			window.removeEventListener('pagehide', setup.leave);
			setup.leave();
		};
	});
</script>

<div class="min-h-0 flex-1 overflow-y-auto px-4 pb-8">
	<div class="mx-auto max-w-[760px]">
		<h1 class="flare pt-3 text-xl font-[520]">Lock</h1>
		<p class="text-ink2 max-w-[68ch] py-2 text-[13.5px] leading-5">
			{app.lock.set
				? 'The records of this browser are sealed, and open in this sitting.'
				: 'Whoever can use this browser can read the records. A lock seals them by a passphrase.'}
			<a class="dotted" href="/settings">Back to the settings</a>
		</p>
		{#if app.lock.set}
			<LockOn lock={app.lock} />
		{:else if canSeal()}
			<LockSteps {setup} />
		{:else}
			<p class="text-[13.5px]">
				This browser offers no sealing at this address: it does so on “https” addresses and on “localhost” only. Open Soft Tide there to set
				a lock.
			</p>
		{/if}
		<section class="border-hair mt-8 border-t pt-3" aria-labelledby="beyond">
			<h2 id="beyond" class="text-[15px] font-semibold">What no lock in a browser can prevent</h2>
			<ul class="text-ink2 list-disc space-y-1 py-2 pl-5 text-[13.5px] leading-5">
				<li>Somebody who watches an open window, or a program on this computer that reads along.</li>
				<li>Copies of the disk that were made before the lock was set, and what a disk keeps of places that were overwritten.</li>
				<li>Files that were exported: a backup is readable by whoever has it.</li>
				<li>A passphrase that is forgotten: nobody can open the records then. Keep a backup in a safe place.</li>
			</ul>
			<p class="max-w-[68ch] text-[13.5px] leading-5">
				What really helps: encrypt the disk of this computer, use a user account of your own that locks by itself, and keep the browser up
				to date.
			</p>
		</section>
	</div>
</div>
