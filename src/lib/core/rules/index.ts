import { againstDrainage } from './againstDrainage';
import { closingPump } from './closingPump';
import { filmSpent, noGlide } from './glide';
import { neckBothSides } from './neckBothSides';
import { outletClosed } from './outletClosed';
import { overBudget } from './overBudget';
import { pressureCap } from './pressureCap';
import { receiverClosed } from './receiverClosed';
import type { Rule } from './rule';
import { stranded } from './stranded';
import { throatStraightDown } from './throatStraightDown';
import { unevenSides } from './unevenSides';

/** The registry: what may hurt first, then order, direction, sides and time. */
export const RULES: readonly Rule[] = [
	neckBothSides,
	pressureCap,
	outletClosed,
	receiverClosed,
	stranded,
	closingPump,
	againstDrainage,
	throatStraightDown,
	noGlide,
	filmSpent,
	unevenSides,
	overBudget
];

export const ruleById = (id: string): Rule | undefined => RULES.find((rule) => rule.id === id);
