<script lang="ts">
	import { AlertDialog } from 'bits-ui';
	import Question from '../../parts/shell/Question.svelte';

	interface Props {
		open: boolean;
		onwipe: () => void;
	}
	let { open = $bindable(), onwipe }: Props = $props();
</script>

<Question
	bind:open
	title="Delete all?"
	words="All clients, sequences, sessions and settings go from this browser. Only an exported file brings them back."
>
	{#snippet answers()}
		<AlertDialog.Cancel class="btn">Keep</AlertDialog.Cancel>
		<AlertDialog.Action class="btn btn-primary" onclick={onwipe}>Delete all</AlertDialog.Action>
	{/snippet}
</Question>
