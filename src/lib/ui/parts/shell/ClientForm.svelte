<script lang="ts">
	interface Props {
		onsave: (name: string) => void;
		/** The field is ready to be typed in. */
		ready?: boolean;
	}
	let { onsave, ready = false }: Props = $props();
	let name = $state('');
	let trouble = $state('');
	const id = $props.id();
	const focused = (node: HTMLInputElement) => {
		if (ready) node.focus();
	};
	function submit(e: SubmitEvent) {
		e.preventDefault();
		const clean = name.trim();
		trouble = clean ? '' : 'Give a code or a name, for example “Lamp 14”.';
		if (!clean) return;
		onsave(clean.slice(0, 200));
		name = '';
	}
</script>

<form class="mt-1.5 flex flex-wrap gap-2" onsubmit={submit}>
	<label class="sr-only" for={id}>Name of the new client</label>
	<input
		autocomplete="off"
		{id}
		class="field field-large min-w-40 flex-1"
		placeholder="A code or a name is enough"
		maxlength="200"
		bind:value={name}
		use:focused
		aria-invalid={Boolean(trouble)}
		aria-describedby={trouble ? `${id}-t` : undefined}
	/>
	<button class="btn min-h-11 px-4 text-[14px]">Add client</button>
	{#if trouble}<p id="{id}-t" class="text-flag w-full text-[13px]" role="alert">{trouble}</p>{/if}
</form>
