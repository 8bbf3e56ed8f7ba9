import { BREATHS, MOUTHS, POSTURES, TOOLS } from '$lib/core/vocabulary/vocabulary';
import type { ScoreStep } from './scoreLayout';

/** A stretch of the score in which something holds: a tool in the hand, a posture, a way of breathing. */
export interface Band {
	readonly startSeconds: number;
	readonly endSeconds: number;
	readonly words: string;
}
export interface BandRow {
	readonly id: 'tool' | 'posture' | 'breath';
	readonly title: string;
	readonly bands: readonly Band[];
}

const WORDS: Record<BandRow['id'], (step: ScoreStep['placed']['step']) => string> = {
	tool: (s) => (s.tool ? TOOLS[s.tool.id].toLowerCase() : ''),
	posture: (s) =>
		[
			s.posture === 'neutral' ? '' : POSTURES[s.posture].toLowerCase(),
			s.mouth === 'closed' ? '' : MOUTHS[s.mouth].toLowerCase()
		]
			.filter(Boolean)
			.join(', '),
	breath: (s) => (s.breath === 'free' ? '' : BREATHS[s.breath].toLowerCase())
};
const TITLES: Record<BandRow['id'], string> = { tool: 'tools', posture: 'posture', breath: 'breath' };

/** The rows of bands that have something to say; what goes on from one step to the next is one band. */
export function bandRows(steps: readonly ScoreStep[]): BandRow[] {
	return (Object.keys(WORDS) as BandRow['id'][]).flatMap((id) => {
		const bands: Band[] = [];
		let last = '';
		for (const { placed, startSeconds, endSeconds } of steps) {
			const words = WORDS[id](placed.step);
			const open = bands.at(-1);
			if (words && words === last && open) bands[bands.length - 1] = { ...open, endSeconds };
			else if (words) bands.push({ startSeconds, endSeconds, words });
			last = words;
		}
		return bands.length ? [{ id, title: TITLES[id], bands }] : [];
	});
}
