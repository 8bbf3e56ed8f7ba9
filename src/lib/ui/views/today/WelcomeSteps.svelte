<script lang="ts">
	interface Props {
		onaround: () => void;
	}
	let { onaround }: Props = $props();
	const STEPS = [
		{
			title: 'Somebody in the chair',
			words: 'A code or a name is enough, or yourself before the mirror.',
			href: '/clients?new=1',
			act: 'Add a client'
		},
		{
			title: 'A sequence',
			words: 'Open nodes, draw strokes on the face, hear at once what is missing.',
			href: '/compose',
			act: 'Compose'
		},
		{
			title: 'A session',
			words: 'Grade what the hands find, run the count, look again.',
			href: '/session',
			act: 'Begin'
		}
	] as const;
</script>

<ol class="border-hair max-w-[640px] border-t">
	{#each STEPS as step, i (step.title)}
		<li class="border-hair grid grid-cols-[44px_1fr_auto] items-center border-b py-5">
			<span class="flare text-[28px] font-[460]">{i + 1}</span>
			<span><b class="block text-[17px] font-[540]">{step.title}</b><span class="text-ink2 text-[13.5px]">{step.words}</span></span>
			<a class="btn {i === 0 ? 'btn-primary' : ''}" href={step.href}>{step.act}</a>
		</li>
	{/each}
</ol>
<p class="pt-4"><button type="button" class="btn" onclick={onaround}>Show me around</button></p>
<p class="text-ink2 pt-3 text-[13.5px]">Have a backup? <a class="dotted" href="/exchange">Import</a>.</p>
