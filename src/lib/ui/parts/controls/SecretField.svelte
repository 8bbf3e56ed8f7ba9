<script lang="ts">
	import Eye from '@lucide/svelte/icons/eye';
	import EyeOff from '@lucide/svelte/icons/eye-off';

	interface Props {
		label: string;
		value: string;
		/** Whether the browser's own keeper of passwords meets one that is known or a new one. */
		autocomplete: 'current-password' | 'new-password';
		large?: boolean;
		disabled?: boolean;
		/** Id of what is said of it. */
		describedby?: string;
		ontype: (typed: string) => void;
		/** The element, so that it can be given the focus. */
		field?: HTMLInputElement | null;
	}
	let { label, value, autocomplete, large = false, disabled = false, describedby, ontype, field = $bindable(null) }: Props = $props();
	let seen = $state(false);
	const uid = $props.id();
</script>

<div>
	<label class="label {large ? 'mb-2' : ''}" for={uid}>{label}</label>
	<div class="relative">
		<input
			id={uid}
			bind:this={field}
			class="field pr-11 {large ? 'field-large' : ''}"
			type={seen ? 'text' : 'password'}
			{autocomplete}
			{value}
			{disabled}
			spellcheck="false"
			autocapitalize="off"
			maxlength={200}
			aria-describedby={describedby}
			oninput={(e) => ontype(e.currentTarget.value)}
		/>
		<button
			type="button"
			class="icon-btn absolute top-1/2 right-1.5 -translate-y-1/2"
			aria-label={seen ? 'Hide what is typed' : 'Show what is typed'}
			aria-pressed={seen}
			onclick={() => (seen = !seen)}
			>{#if seen}<EyeOff size={15} />{:else}<Eye size={15} />{/if}</button
		>
	</div>
</div>
