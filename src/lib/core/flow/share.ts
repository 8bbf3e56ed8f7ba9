/** In how many faces one of two leaves less, and the other; where neither does, they are the same. */
export interface Contest {
	readonly lessIn: number;
	readonly moreIn: number;
}

/** Seen from the other one. */
export const turned = ({ lessIn, moreIn }: Contest): Contest => ({ lessIn: moreIn, moreIn: lessIn });

/** From this share on it is said to be practically all. */
const PRACTICALLY_ALL = 0.99;
/** Above this one steps of five would say too much: whole per cents from here on. */
const FINE_FROM = 0.975;
/** Normal quantile of an interval of 95 %. */
const Z_95 = 1.959964;

/**
 * A share as it is shown: of the faces in which there is a difference, per cent in steps of five, for from seed to seed
 * shares near 80 % move by about three points. Near the ends in whole per cents; all and none only where it is every face.
 * Exchanging the two gives the rest to a hundred, whatever is rounded.
 */
export function shownPercent({ lessIn, moreIn }: Contest): number {
	const rest = lessIn + moreIn;
	if (!rest) return 50;
	const lead = Math.abs(lessIn - moreIn);
	const share = 0.5 + lead / rest / 2;
	const high = !lead
		? 50
		: lead === rest
			? 100
			: share >= FINE_FROM
				? Math.min(99, Math.floor(100 * share))
				: 50 + 5 * Math.round((10 * lead) / rest);
	return lessIn >= moreIn ? high : 100 - high;
}

/** The same as text: “>99 %” where it is practically all. */
export function percentText(contest: Contest): string {
	const { lessIn, moreIn } = contest;
	if (!(lessIn + moreIn)) return 'the same';
	const shown = shownPercent(contest);
	return shown === 99 ? '>99 %' : shown === 1 ? '<1 %' : `${shown} %`;
}

/** How often, in words. */
export function oftenWords(contest: Contest): string {
	const { lessIn, moreIn } = contest;
	const rest = lessIn + moreIn;
	if (lessIn === rest) return 'in all';
	if (moreIn === rest) return 'in none';
	if (lessIn / rest >= PRACTICALLY_ALL) return 'in practically all';
	return moreIn / rest >= PRACTICALLY_ALL ? 'in practically none' : `in about ${shownPercent(contest)} %`;
}

/**
 * Interval of a share by Wilson, 95 %, in whole per cents, rounded outwards: how far so many faces tell it.
 * @returns null where no face tells the two apart
 */
export function intervalOf({ lessIn, moreIn }: Contest): { readonly low: number; readonly high: number } | null {
	const n = lessIn + moreIn;
	if (!n) return null;
	const z2 = Z_95 * Z_95;
	const reach = (Z_95 * Math.sqrt((lessIn * moreIn) / n + z2 / 4)) / (n + z2);
	const low = (count: number) => Math.max(0, Math.floor(100 * ((count + z2 / 2) / (n + z2) - reach) + 1e-9));
	return { low: low(lessIn), high: 100 - low(moreIn) };
}
