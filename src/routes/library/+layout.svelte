<script lang="ts">
	import type { Snippet } from 'svelte';
	import { page } from '$app/state';
	import { Fetched } from '$lib/state/fetched.svelte';

	let { children }: { children: Snippet } = $props();
	const ROOMS = [
		{ href: '/library', label: 'Moves' },
		{ href: '/library/sequences', label: 'Sequences' },
		{ href: '/library/points', label: 'Points' },
		{ href: '/library/schools', label: 'Schools' },
		{ href: '/library/compare', label: 'Two schools' },
		{ href: '/library/rules', label: 'Rules' },
		{ href: '/library/media', label: 'Media' },
		{ href: '/library/notation', label: 'Notation' },
		{ href: '/library/model', label: 'The tide' }
	];
	/** Nothing is said before somebody has done something. */
	const toaster = new Fetched(async () => (await import('svelte-sonner')).Toaster).soon();
	const here = (href: string) => page.url.pathname === href;
</script>

{#if toaster.current}<toaster.current position="bottom-left" />{/if}
<nav class="border-hair flex flex-wrap items-baseline gap-x-5 border-b px-4" aria-label="Parts of the Library">
	<span class="flare py-1.5 pr-2 text-xl font-[520]" aria-hidden="true">Library</span>
	{#each ROOMS as room (room.href)}
		<a
			href={room.href}
			aria-current={here(room.href) ? 'page' : undefined}
			class="-mb-px flex min-h-8 items-center border-b-2 {here(room.href)
				? 'border-ink text-ink font-semibold'
				: 'text-ink2 hover:text-ink border-transparent'}">{room.label}</a
		>
	{/each}
</nav>
{@render children()}
