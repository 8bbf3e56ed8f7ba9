<script lang="ts">
	import { Tooltip } from 'bits-ui';
	import type { Component } from 'svelte';

	interface Props {
		component: Component<Record<string, unknown>>;
		props: Record<string, unknown>;
	}
	let { component: Shown, props }: Props = $props();
</script>

<!-- For component tests only: what a page gives to everything on it. -->
<Tooltip.Provider><Shown {...props} /></Tooltip.Provider>
