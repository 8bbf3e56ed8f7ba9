<script lang="ts">
	import { wideWindow } from './wideWindow';
	import Lock from '@lucide/svelte/icons/lock-keyhole';
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { VIEWS } from './views';
	import Segmented from '../controls/Segmented.svelte';

	const app = useApp();
	const wide = wideWindow();
	/** Fetched where the window is narrow. */
	const narrowMenu = () => import('./NarrowMenu.svelte');
	const PLACES = VIEWS.filter((v) => v.nav);
	const here = (href: string) => (href === '/' ? page.url.pathname === '/' : page.url.pathname.startsWith(href));
</script>

{#snippet theme()}
	<Segmented
		label="Theme"
		value={app.look.dark ? 'evening' : 'day'}
		options={[
			{ value: 'day', label: 'Day' },
			{ value: 'evening', label: 'Evening' }
		]}
		onchange={(theme) => app.save({ theme })}
	/>
{/snippet}

<header class="border-hair no-print flex min-h-10 flex-none items-center gap-y-1 border-b px-2 lg:px-4">
	<a href="/" class="flare flex items-center gap-2 text-[15px] font-[560] lg:mr-6" aria-label="Soft Tide">
		<svg width="30" height="22" viewBox="0 0 30 22" fill="none" stroke-linecap="round" stroke-width="1.8" aria-hidden="true">
			<path d="M1 11C7 11 7 3 13 3S18 11 29 11" stroke="var(--drain)" />
			<path d="M1 11C12 11 12 18 17.4 18S23 11 29 11" stroke="var(--lift)" />
			<path d="M1 11H29" stroke="var(--ink)" stroke-width="1.2" />
		</svg>
		<span class="hidden lg:inline">Soft Tide</span>
	</a>
	{#if wide.current}
		<nav class="flex self-stretch" aria-label="Views">
			{#each PLACES as place (place.path)}
				<a
					href={place.path}
					class="text-ink2 hover:text-ink relative flex min-h-10 items-center px-2.5 {here(place.path)
						? 'here text-ink font-semibold'
						: ''}"
					aria-current={here(place.path) ? 'page' : undefined}
				>
					{place.label}
				</a>
			{/each}
		</nav>
	{:else}
		{#await narrowMenu() then { default: NarrowMenu }}<NarrowMenu places={PLACES} {here} {theme} />{/await}
	{/if}
	<div class="ml-auto flex min-w-0 items-center gap-1 py-1 lg:gap-2">
		{#if app.headerExtra}{@render app.headerExtra()}{:else}
			<span class="text-ink3 hidden text-[11.5px] sm:inline">Everything stays on this computer</span>
		{/if}
		{#if app.lock.phase === 'open'}<button
				type="button"
				class="icon-btn"
				aria-label="Lock the records"
				title="Lock the records (Alt + Shift + L)"
				aria-keyshortcuts="Alt+Shift+L"
				onclick={app.lock.shut}><Lock size={15} /></button
			>{/if}
		{#if wide.current}{@render theme()}{/if}
	</div>
</header>

<style>
	.here::after {
		content: '';
		position: absolute;
		left: 8px;
		right: 8px;
		bottom: -1px;
		height: 7px;
		border-radius: 60% 60% 0 0 / 100% 100% 0 0;
		background: var(--drain);
	}
</style>
