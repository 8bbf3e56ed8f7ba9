<script lang="ts">
	import { MOST_TURNED_DEGREES } from '$lib/core/measure/compare';
	import { LIGHT_LIMITS, type LightDifference } from '$lib/core/measure/light';
	import type { PoseDifference } from '$lib/core/measure/pose';
	import type { Working } from '$lib/core/working/working.schema';

	interface Props {
		pose: PoseDifference | null;
		light: LightDifference | null;
		minutesApart: number;
		working: Working;
	}
	let { pose, light, minutesApart, working }: Props = $props();
	const degrees = (n: number) => `${n < 0 ? '−' : '+'}${Math.abs(n).toFixed(1)}° of ${MOST_TURNED_DEGREES}`;
	const share = (n: number) => `${n < 0 ? '−' : '+'}${Math.abs(100 * (Math.exp(n) - 1)).toFixed(0)} %`;
	const rows = $derived([
		...(pose
			? [
					{ label: 'Head turned', of: pose.yaw / MOST_TURNED_DEGREES, said: degrees(pose.yaw) },
					{ label: 'Chin up', of: pose.pitch / MOST_TURNED_DEGREES, said: degrees(pose.pitch) }
				]
			: []),
		...(light
			? [
					{ label: 'Light from the side', of: light.side / LIGHT_LIMITS.side[1], said: light.otherSide ? 'other side' : share(light.side) },
					{ label: 'Brightness', of: light.level / LIGHT_LIMITS.level[1], said: share(light.level) },
					{ label: 'Light from above', of: light.height / LIGHT_LIMITS.height[1], said: share(light.height) }
				]
			: []),
		{
			label: 'Hour of the day',
			of: minutesApart / working.comparableHourMinutes,
			said: `${Math.round(minutesApart)} of ${working.comparableHourMinutes} min`
		}
	]);
	const x = (of: number) => 60 + Math.max(-2, Math.min(2, of)) * 27;
	const outside = (of: number) => Math.abs(of) > 1;
</script>

<!-- Can the two be compared? What lies in the sand is close enough. -->
<table class="w-full text-[12.5px]">
	<caption class="text-ink2 pb-1 text-left text-[12px]">Inside the sand: close enough to be compared</caption>
	<tbody>
		{#each rows as { label, of, said } (label)}<tr class={outside(of) ? 'font-semibold' : ''}>
				<th scope="row" class="text-left font-normal {outside(of) ? 'font-semibold' : ''}">{label}</th>
				<td class="w-[124px]"
					><svg width="120" height="22" viewBox="0 0 120 22" aria-hidden="true" class="block"
						><rect x="33" width="54" height="22" fill="var(--sand)" /><path d="M60 0V22" stroke="var(--coast)" />
						<path d="M60 11H{x(of)}" stroke="var(--ink)" stroke-width="1.6" />
						{#if outside(of)}<path d="M{x(of) - 4} 7L{x(of) + 4} 15M{x(of) + 4} 7L{x(of) - 4} 15" stroke="var(--flag)" stroke-width="2" />
						{:else}<circle cx={x(of)} cy="11" r="4.2" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.5" />{/if}</svg
					></td
				>
				<td class="text-right whitespace-nowrap">{said}</td>
			</tr>{/each}
	</tbody>
</table>
