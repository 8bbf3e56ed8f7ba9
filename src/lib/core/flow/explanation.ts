import { CLAIMS, ofStartText } from './claimWords';
import { oftenWords } from './share';

/** How the model works, in the words of the page that explains it: what was put in, not what came out. */
export const HOW = [
	[
		'Pools and gates',
		'Each of 34 zones a side holds some mobile fluid; each of 11 node groups a side is a narrow passage that holds little. A zone gives to its node groups, these pass it on, and at the collarbone and the armpit it returns to the veins. What left the face but waits in the neck or in a node group is not gone.'
	],
	[
		'What a stroke does',
		'It takes a small part of each place it passes along to the next, most when it is light and runs as the drainage does. A place that is full, or a node group that is nearly closed, takes less than the hand brings: the rest is dammed and stays where it was.'
	],
	[
		'What a pump does',
		'It opens its node group a little more each time and passes some of its content on. An opening fades: half of it is gone after ten minutes.'
	],
	[
		'What depth costs',
		'Firm work moves less with each repetition and warms the tissue, and warm tissue fills faster. Tapping and rubbing warm too; cold holds the filling back. That light beats deep is put in, not found: in some people deep work may move more.'
	]
] as const;

const { times, asIs, store } = CLAIMS.passage;
const pair = (claims: typeof asIs): string => claims.map(oftenWords).join(' and ');

/** What may not be said, and what hangs on what. */
export const LIMITS = [
	`Both small answers, opening first and this order, hang on one assumption: that node groups are a narrow passage and not a store. They hold ${pair(asIs)} of the faces with node groups as they are, and ${pair(store)} with ${times} times their capacity. The assumption was chosen after an earlier form of the model had given the opposite, so they are a consequence of it, no finding.`,
	'The measure decides: by the face alone or under the eyes the same two can come out the other way, for fluid that left the face may sit in node groups or in the throat. So look at where it went, too.',
	'The more of the strokes pass a place, the more leaves it: a measure of one place tells mostly that. The way as a whole matters more than how a single pair of zones lies to the drainage.',
	'It knows no pain, no pressure on the eye, no illness, no medicine, no sleep and no salt. Cautions and local rules come before it.',
	'One thing rests on literature: fluid of the tissue is taken up by the lymph vessels and not, in the steady state, by the capillaries (Levick and Michel, Cardiovascular Research 2010, 87, 198–210).'
] as const;

/** Said beside the small model where it is deep, or its outlet was left closed. */
export const TOY_DEEP_NOTE = 'That deep strokes leave more is put in here, not found.';
const { middle } = CLAIMS.worked.find((c) => c.pair === 'a > c')!.by.all;
export const TOY_CLOSED_NOTE = `One outlet alone makes much of it: over a whole face opening first rather than last comes to ${ofStartText(middle)} of the fluid.`;
