<script lang="ts">
	/** The parts of a session, in their order. */
	type Part = 'screening' | 'before' | 'perform' | 'after';
	const PARTS: readonly { readonly id: Part; readonly label: string }[] = [
		{ id: 'screening', label: 'Screening' },
		{ id: 'before', label: 'Before' },
		{ id: 'perform', label: 'Perform' },
		{ id: 'after', label: 'After' }
	];
	interface Props {
		at: Part;
		/** Where each part that can be gone to lies; what has none cannot be gone to yet. */
		to: Partial<Record<Part, string>>;
		/** Said of a part that cannot be gone to. */
		why?: Partial<Record<Part, string>>;
	}
	let { at, to, why = {} }: Props = $props();
</script>

<!-- One line says where one is in a session, and leads to its other parts. -->
<nav aria-label="Parts of the session">
	<ol class="flex items-center">
		{#each PARTS as { id, label }, i (id)}
			<li class="flex items-center">
				{#if i}<svg
						class="text-ink3 mx-0.5 max-sm:hidden"
						width="14"
						height="8"
						viewBox="0 0 14 8"
						fill="none"
						stroke="currentColor"
						stroke-width="1.3"
						aria-hidden="true"><path d="M1 4.5q3 -4 6 0t6 0" /></svg
					>{/if}
				{#if id === at}<b
						class="border-drain inline-flex min-h-9 items-center border-b-4 px-1.5 pt-1 font-semibold sm:px-2"
						aria-current="step">{label}</b
					>
				{:else if to[id]}<a
						class="text-ink2 hover:text-ink inline-flex min-h-10 items-center px-1.5 underline decoration-dotted underline-offset-4 sm:px-2"
						href={to[id]}>{label}</a
					>
				{:else}<span class="text-ink3 inline-flex min-h-10 items-center px-1.5 sm:px-2" title={why[id]}
						>{label}{#if why[id]}<span class="sr-only">: {why[id]}</span>{/if}</span
					>{/if}
			</li>
		{/each}
	</ol>
</nav>
