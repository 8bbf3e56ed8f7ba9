<script lang="ts">
	import { Checkbox } from 'bits-ui';
	import Check from '@lucide/svelte/icons/check';
	import { MIN_PASSPHRASE, type LockSetup } from '$lib/state/lockSetup.svelte';
	import SecretField from '$lib/ui/parts/controls/SecretField.svelte';
	import IdleMinutes from './IdleMinutes.svelte';

	let { setup }: { setup: LockSetup } = $props();
	let typed = $state('');
	const busy = $derived(setup.doing !== '');
	/** The step that is at hand. */
	const at = $derived(!setup.understood ? 1 : setup.copied === null ? 2 : !setup.proven ? 3 : 4);
	const records = (n: number) => `${n.toLocaleString('en')} ${n === 1 ? 'record' : 'records'}`;
</script>

{#snippet step(n: number, title: string)}
	<h2 class="flex items-baseline gap-3 text-[15px] font-semibold {n > at ? 'text-ink3' : ''}" aria-current={n === at ? 'step' : undefined}>
		<span class="flare w-5 text-[22px] leading-none font-[500]" aria-hidden="true">{n}</span>{title}
		{#if n < at}<Check size={15} aria-label="done" />{/if}
	</h2>
{/snippet}

<ol class="space-y-6">
	<li>
		{@render step(1, 'What it does, and what forgetting means')}
		<div class="max-w-[66ch] space-y-2 pt-1.5 pl-8 text-[13.5px] leading-5">
			{#if at <= 2}
				<p>
					Every record here, its notes and pictures, is sealed with a key (AES-GCM, 256 bits) that only your passphrase opens. You type it
					once a sitting; the records lock by themselves when nobody is at work, and at once by Alt + Shift + L.
				</p>
			{/if}
			<p>
				<b class="font-semibold">If you forget the passphrase, the records are lost.</b> There is no second key and nobody to ask.
				<a class="dotted" href="/exchange">Export a backup</a> first and keep it where only you can read it: files that you export are not locked.
			</p>
			{#if at <= 2}
				<p class="text-ink2">
					Stays readable beside the seal: dates and hours of visits, random ids, how many records there are. It does not protect from
					whoever watches an open window, or from programs that read along on this computer.
				</p>
			{/if}
			<label class="flex w-fit items-center gap-2 py-1">
				<Checkbox.Root
					bind:checked={setup.understood}
					disabled={at > 2 || busy}
					class="border-edge bg-sheet grid size-6 place-items-center rounded-md border"
				>
					{#snippet children({ checked })}{#if checked}<Check size={15} />{/if}{/snippet}
				</Checkbox.Root>
				I have read it
			</label>
		</div>
	</li>
	<li>
		{@render step(2, 'Your passphrase')}
		{#if at >= 2}
			<form
				class="max-w-[430px] space-y-2.5 pt-2 pl-8"
				onsubmit={(e) => {
					e.preventDefault();
					void setup.makeCopy();
				}}
			>
				<SecretField
					label="Passphrase, {MIN_PASSPHRASE} signs or more"
					autocomplete="new-password"
					value={setup.passphrase}
					disabled={busy}
					ontype={(t) => setup.retype('passphrase', t)}
					describedby="setup-problem"
				/>
				<SecretField
					label="The same again"
					autocomplete="new-password"
					value={setup.again}
					disabled={busy}
					ontype={(t) => setup.retype('again', t)}
					describedby="setup-problem"
				/>
				{#if at === 2}<button type="submit" class="btn btn-primary" disabled={busy}>Try it on a copy</button>{/if}
			</form>
		{/if}
	</li>
	<li>
		{@render step(3, 'Tried on a copy')}
		{#if at >= 3 && setup.copied !== null}
			<div class="max-w-[66ch] space-y-2 pt-1.5 pl-8 text-[13.5px] leading-5">
				<p>
					{records(setup.copied)} lie sealed in a copy; your own are untouched. Open the copy as you will open the records each day. Try a wrong
					passphrase too, to see that nothing opens.
				</p>
				{#if at === 3}
					<form
						class="flex max-w-[400px] items-end gap-2"
						onsubmit={(e) => {
							e.preventDefault();
							void setup.tryCopy(typed).then(() => (typed = ''));
						}}
					>
						<div class="flex-1">
							<SecretField
								label="Passphrase of the copy"
								autocomplete="current-password"
								value={typed}
								disabled={busy}
								ontype={(t) => (typed = t)}
								describedby="setup-problem"
							/>
						</div>
						<button type="submit" class="btn btn-primary" disabled={busy || !typed}>Open the copy</button>
					</form>
				{/if}
				{#if setup.tried}
					<p role="status">
						{#if setup.proven}The copy opened: {records(setup.tried.same)} came back exactly as they were{setup.tried.changed
								? `; ${setup.tried.changed} were changed here meanwhile and could not be compared`
								: ''}.
						{:else}{records(setup.tried.lost)} of the copy did not come back as they were. The lock is not put on. Export a backup and tell us.{/if}
					</p>
				{/if}
			</div>
		{/if}
	</li>
	<li>
		{@render step(4, 'Lock the records')}
		{#if at === 4}
			<div class="space-y-3 pt-2 pl-8">
				<IdleMinutes value={setup.idleMinutes} onchange={(minutes) => (setup.idleMinutes = minutes)} />
				<button type="button" class="btn btn-primary btn-large" disabled={busy} onclick={setup.putOn}>Lock the records</button>
			</div>
		{/if}
	</li>
</ol>
<p id="setup-problem" class="text-flag min-h-6 pt-3 pl-8 text-[13.5px]" role="alert">{setup.problem}</p>
<p class="text-ink2 min-h-6 pl-8 text-[13.5px]" role="status">{setup.doing}</p>
