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
	</div>
</div>
