<script lang="ts">
	interface Props {
		/** The same thing in fewer and fewer letters: the first that has room at full size is shown, else the last one, smaller. */
		texts: readonly string[];
		/** px */
		size: number;
		lines?: 1 | 2;
		/** px, below which it is not read. */
		least?: number;
	}
	let { texts, size, lines = 1, least = 18 }: Props = $props();
	let width = $state(0);
	let [shown, px] = $state<[string, number]>(['', 0]);
	/** How high a line is, in sizes of the type. */
	const LINE = 1;

	/** Looks anew whenever words, size or room change. */
	function measured(ruler: HTMLElement) {
		if (!width) return;
		const fits = (text: string, at: number): boolean => {
			ruler.style.fontSize = `${at}px`;
			ruler.textContent = text;
			return ruler.scrollWidth <= ruler.clientWidth + 1 && Math.round(ruler.offsetHeight / (LINE * at)) <= lines;
		};
		const whole = texts.find((text) => fits(text, size));
		const text = whole ?? texts.at(-1)!;
		let at = size;
		while (whole === undefined && at > least && !fits(text, at)) at -= 2;
		ruler.textContent = '';
		[shown, px] = [text, at];
	}
</script>

<span class="relative block" style:height="{lines * LINE * size}px" bind:clientWidth={width}>
	<span class="absolute inset-0 flex items-center" style:font-size="{px}px" style:line-height={LINE}><span>{shown}</span></span>
	<span class="invisible absolute inset-x-0 top-0 block" style:line-height={LINE} {@attach measured} aria-hidden="true"></span>
</span>
