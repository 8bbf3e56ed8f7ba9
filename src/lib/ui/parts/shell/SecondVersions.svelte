<script lang="ts">
	import type { KindId } from '$lib/core/records/tables';
	import { useSecondVersion } from '$lib/state/secondVersion.svelte';

	interface Props {
		kind: Exclude<KindId, 'sequence'>;
		id: string | null;
		/** After a choice: what is edited is to be read again. */
		onsettled?: () => void;
	}
	let { kind, id, onsettled }: Props = $props();
	const versions = useSecondVersion(
		// svelte-ignore state_referenced_locally
		kind,
		() => id
	);
	async function choose(choice: 'stored' | 'second') {
		await versions.settle(choice);
		onsettled?.();
	}
</script>

{#if versions.facts}{#await import('./OtherVersion.svelte') then { default: OtherVersion }}<OtherVersion
			facts={versions.facts}
			onchoose={choose}
		/>{/await}{/if}
