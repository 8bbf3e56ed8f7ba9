<script lang="ts">
	import { page } from '$app/state';
	import { useApp } from '$lib/state/app.svelte';
	import { VIEWS } from './views';
	import Segmented from '../controls/Segmented.svelte';

	const app = useApp();
	const PLACES = VIEWS.filter((v) => v.nav);
	const here = (href: string) => (href === '/' ? page.url.pathname === '/' : page.url.pathname.startsWith(href));
	const shown = $derived(
		app.settings?.theme === 'auto' || !app.settings
			? matchMedia('(prefers-color-scheme: dark)').matches
				? 'evening'
				: 'day'
			: app.settings.theme
	);
</script>

<header class="border-hair no-print flex min-h-10 flex-wrap items-center gap-y-1 border-b px-4">
	<a href="/" class="flare mr-6 flex items-center gap-2 text-[15px] font-[560]">
		<svg width="30" height="22" viewBox="0 0 30 22" fill="none" stroke-linecap="round" stroke-width="1.8" aria-hidden="true">
			<path d="M1 11C7 11 7 3 13 3S18 11 29 11" stroke="var(--drain)" />
			<path d="M1 11C12 11 12 18 17.4 18S23 11 29 11" stroke="var(--lift)" />
			<path d="M1 11H29" stroke="var(--ink)" stroke-width="1.2" />
		</svg>
		Soft Tide
	</a>
	<nav class="flex flex-wrap self-stretch" aria-label="Views">
		{#each PLACES as place (place.path)}
			<a
				href={place.path}
				class="text-ink2 hover:text-ink relative flex min-h-10 items-center px-2.5 {here(place.path) ? 'here text-ink font-semibold' : ''}"
				aria-current={here(place.path) ? 'page' : undefined}
			>
				{place.label}
			</a>
		{/each}
	</nav>
	<div class="ml-auto flex items-center gap-2 py-1">
		{#if app.headerExtra}{@render app.headerExtra()}{:else}
			<span class="text-ink3 text-[11.5px]">Everything stays on this computer</span>
		{/if}
		<Segmented
			label="Theme"
			value={shown}
			options={[
				{ value: 'day', label: 'Day' },
				{ value: 'evening', label: 'Evening' }
			]}
			onchange={(theme) => app.save({ theme })}
		/>
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
