<script lang="ts">
	import { shrink } from '../../parts/shrink';
	interface Props {
		/** What is to be minded today, all of it: what to do, and why behind a colon or in brackets. */
		alerts: readonly string[];
		/** How much is said, in two words, and what its button does. */
		voice: { readonly state: 'on' | 'off' | 'none'; readonly words: string };
		onvoice: () => void;
		onstop: () => void;
	}
	let { alerts, voice, onvoice, onstop }: Props = $props();
	/** What to do stands out from why. */
	const parts = (alert: string): [string, string] => {
		const [why, ...does] = alert.replace(/\.$/, '').split(': ');
		return does.length ? [does.join(': '), why!] : [why!, ''];
	};
</script>

<!-- The first thing on the stage: every limit of today, whole. It takes what height it needs, up to a share of the window. -->
<div class="band border-hair bg-paper border-b" class:many={alerts.length > 3}>
	<ul class="limits" aria-label="Limits today" {@attach shrink(20, 11)}>
		{#each alerts as alert, i (i)}
			{@const [does, why] = parts(alert)}
			<li>
				<svg width="15" height="17" viewBox="0 0 15 17" aria-hidden="true"
					><path d="M2 1V16M2 1.5L13 5.5L2 9.5" fill="var(--flag)" stroke="var(--flag)" stroke-width="1.6" stroke-linejoin="round" /></svg
				><span
					><b class="font-semibold">{does}</b>{#if why}<span class="text-ink2">, {why}</span>{/if}</span
				>
			</li>
		{:else}<li class="text-ink2">No limits today</li>{/each}
	</ul>
	<div class="sides">
		<button type="button" class="side" aria-keyshortcuts="M" aria-pressed={voice.state === 'on'} onclick={onvoice}>
			<svg viewBox="0 0 34 34" aria-hidden="true"
				><path d="M5 13H11L19 6V28L11 21H5Z" />{#if voice.state === 'on'}<path
						d="M23 12C26 15 26 19 23 22M26.5 8.5C31.5 13.5 31.5 20.5 26.5 25.5"
					/>
				{:else if voice.state === 'off'}<path d="M23 13L31 21M31 13L23 21" />
				{:else}<path d="M24 17H31" stroke-dasharray="0.1 4" />{/if}</svg
			><span>{voice.words}</span>
		</button>
		<button type="button" class="side stop" aria-keyshortcuts="R" onclick={onstop}>When to stop</button>
	</div>
</div>

<style>
	.band {
		display: flex;
		min-width: 0;
	}
	.limits {
		display: flex;
		flex: 1;
		flex-wrap: wrap;
		align-content: center;
		min-width: 0;
		max-height: 16dvh;
		overflow: hidden;
		padding: 4px 16px;
		gap: 0 22px;
		line-height: 1.32;
	}
	li {
		display: flex;
		align-items: baseline;
		gap: 8px;
	}
	li svg {
		flex: none;
	}
	.sides {
		display: flex;
		flex: none;
	}
	.side {
		display: flex;
		flex: none;
		align-items: center;
		gap: 8px;
		min-width: 64px;
		min-height: 48px;
		padding: 0 14px;
		border-left: 1px solid var(--hair);
		font-size: 17px;
		font-weight: 600;
		line-height: 1.15;
	}
	.side svg {
		width: 32px;
		height: 32px;
		fill: none;
		stroke: currentColor;
		stroke-width: 2;
		stroke-linecap: round;
		stroke-linejoin: round;
	}
	@media (max-width: 600px), (max-height: 560px) {
		.many .limits {
			display: block;
		}
		.many li {
			display: inline;
			padding-right: 6px;
		}
		.many li svg {
			display: inline;
			height: 0.95em;
			margin-right: 2px;
		}
	}
	@media (max-width: 600px) {
		.limits {
			padding: 3px 10px;
		}
		.side {
			padding: 0 8px;
			font-size: 13px;
			max-width: 76px;
			text-align: left;
		}
		.side svg {
			width: 26px;
			height: 26px;
		}
		/* Where much is to be minded it gets the width. */
		.many .sides {
			flex-direction: column;
		}
		.many .side {
			flex: 1;
			min-height: 44px;
		}
		.side span {
			position: absolute;
			clip-path: inset(50%);
		}
	}
	@media (max-height: 560px) {
		.limits {
			max-height: 20dvh;
			line-height: 1.2;
		}
		.side {
			min-height: 36px;
		}
	}
</style>
