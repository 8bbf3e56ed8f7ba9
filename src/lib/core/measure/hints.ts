import type { Held } from './detected';
import { LIGHT_LIMITS, type Light } from './light';

/** How a face stands before the camera. */
export interface Stance extends Held {
	/** Between the pupils, as a share of the width of the picture. */
	readonly size: number;
	readonly light: Light | null;
}

/** From when on a difference is said, degrees: against an earlier photograph, and against straight ahead where there is none. Working values. */
const MOST = { earlier: { yaw: 2, pitch: 2, roll: 5 }, straight: { yaw: 4, pitch: 5, roll: 5 } } as const;
/** By what share a face may be larger or smaller. Working value. */
const MOST_SIZE = 0.05;
/** More at once nobody follows. */
const MOST_HINTS = 2;

/**
 * What to change before the picture is taken, the most needed first; empty: as it should be.
 * @param earlier the photograph that is to be matched; null: the head is held straight
 */
export function hintsOf(now: Stance, earlier: Stance | null): string[] {
	const limits = earlier ? MOST.earlier : MOST.straight;
	const apart = (of: keyof Held) => now[of] - (earlier?.[of] ?? 0);
	const said: { readonly by: number; readonly words: string }[] = [
		{
			by: apart('yaw') / limits.yaw,
			words: apart('yaw') > 0 ? 'Turn a little to her right.' : 'Turn a little to her left.'
		},
		{ by: apart('pitch') / limits.pitch, words: apart('pitch') > 0 ? 'Chin a little down.' : 'Chin a little up.' },
		{
			by: apart('roll') / limits.roll,
			words: apart('roll') > 0 ? 'Tilt the head a little to her right.' : 'Tilt the head a little to her left.'
		}
	];
	if (earlier) {
		const size = Math.log(now.size / earlier.size);
		said.push({ by: size / MOST_SIZE, words: size > 0 ? 'A little farther away.' : 'A little nearer.' });
		const [a, b] = [now.light, earlier.light];
		if (a && b) {
			const level = a.level - b.level;
			said.push({
				by: level / LIGHT_LIMITS.level[0],
				words: level > 0 ? 'Less light: it is brighter than before.' : 'More light: it is darker than before.'
			});
			const side = a.side - b.side;
			said.push({
				by: side / LIGHT_LIMITS.side[0],
				words:
					side > 0
						? 'The light comes more from her left than before.'
						: 'The light comes more from her right than before.'
			});
		}
	}
	return said
		.filter(({ by }) => Math.abs(by) > 1)
		.sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
		.slice(0, MOST_HINTS)
		.map(({ words }) => words);
}
