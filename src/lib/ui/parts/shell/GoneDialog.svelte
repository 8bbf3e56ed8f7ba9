<script lang="ts">
	import Question from './Question.svelte';

	interface Props {
		/** Why it is not here any more, in words. */
		words: string;
		/** What it belongs to is still there, so that it can be kept. */
		keepable: boolean;
		onkeep: () => void;
		ondrop: () => void;
	}
	let { words, keepable, onkeep, ondrop }: Props = $props();
</script>

<Question
	must
	width={460}
	title="It is not there any more"
	words="{words} {keepable ? 'You can keep what you see here as a new one, or let it go.' : 'It cannot stand alone, so it goes too.'}"
>
	{#snippet answers()}
		<button type="button" class="btn {keepable ? '' : 'btn-primary'}" onclick={ondrop}>Let it go</button>
		{#if keepable}<button type="button" class="btn btn-primary" onclick={onkeep}>Keep it as a new one</button>{/if}
	{/snippet}
</Question>
