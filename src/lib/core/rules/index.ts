import { clientLeftOut } from './client/leftOut';
import { clientGoRound, clientMind, clientMove, clientOneSide, clientPosture, clientPressure } from './client/steps';
import { wishMedium, wishPressure, wishRoute } from './client/wishes';
import { clientClearance, clientMedium, clientMinutes, clientRefer, clientUpright } from './client/whole';
import { backAndForth } from './effort/backAndForth';
import { toolSwaps } from './effort/toolSwaps';
import { exerciseBy } from './body/exerciseBy';
import { eyesOpen } from './body/eyesOpen';
import { jawClenched } from './body/jawClenched';
import { selfReach } from './body/selfReach';
import { twoHands } from './body/twoHands';
import { againstDrainage } from './direction/againstDrainage';
import { jawShort } from './direction/jawShort';
import { liftDown } from './direction/liftDown';
import { mouthEndsDown } from './direction/mouthEndsDown';
import { neckDirection } from './direction/neckDirection';
import { throatStraightDown } from './direction/throatStraightDown';
import { coldTooLong } from './dose/coldTooLong';
import { contradiction } from './dose/contradiction';
import { courseRest } from './dose/courseRest';
import { deepTooLong } from './dose/deepTooLong';
import { doseRange } from './dose/doseRange';
import { middleTwice } from './dose/middleTwice';
import { overBudget } from './dose/overBudget';
import { rushedDrain } from './dose/rushedDrain';
import { skinRubbed } from './dose/skinRubbed';
import { tooMuchWork } from './dose/tooMuchWork';
import { unevenSides } from './dose/unevenSides';
import { dryAfterOil, tapeOnOil } from './glide/bareSkin';
import { filmSpent, noGlide } from './glide/film';
import { scentNearEye } from './glide/scentNearEye';
import { unknownMedium } from './glide/unknownMedium';
import { handsClean } from './hygiene/handsClean';
import { toolsClean } from './hygiene/toolsClean';
import { insideAfter } from './inside/insideAfter';
import { insideGloves } from './inside/insideGloves';
import { insideLicence } from './inside/insideLicence';
import { outsideLicence } from './inside/outsideLicence';
import { insideTime } from './inside/insideTime';
import { closingPump } from './order/closingPump';
import { deepThenDrain } from './order/deepThenDrain';
import { exitAfterNeck } from './order/exitAfterNeck';
import { exitOpen } from './order/exitOpen';
import { drainPolicy } from './school/drainPolicy';
import { schoolFloor } from './school/schoolFloor';
import { layersMixed } from './order/layersMixed';
import { napeMissing } from './order/napeMissing';
import { nearestFirst } from './order/nearestFirst';
import { neckFirst } from './order/neckFirst';
import { openingMissing } from './order/openingMissing';
import { openingOrder } from './order/openingOrder';
import { outletClosed } from './order/outletClosed';
import { receiverClosed } from './order/receiverClosed';
import { stranded } from './order/stranded';
import { edgeCap } from './pressure/edgeCap';
import { eyeCap } from './pressure/eyeCap';
import { fluidCap } from './pressure/fluidCap';
import { lidContact } from './pressure/lidContact';
import { muscleCap } from './pressure/muscleCap';
import { neckBothSides } from './pressure/neckBothSides';
import { neckCap } from './pressure/neckCap';
import { collarboneCap } from './pressure/collarboneCap';
import { nodeCap } from './pressure/nodeCap';
import { steepTilt } from './pressure/steepTilt';
import { throatCap } from './pressure/throatCap';
import type { Rule } from './rule';
import { tapedSkin } from './tape/tapedSkin';
import { tapeInSchool } from './tape/tapeInSchool';
import { tapeOpposed } from './tape/tapeOpposed';
import { tapeRemoval } from './tape/tapeRemoval';
import { tapeWear } from './tape/tapeWear';

/** The registry, by kind; within a grade of severity, findings keep this order: what may hurt first, effort last. */
export const RULES: readonly Rule[] = [
	tooMuchWork,
	...[clientRefer, clientClearance, clientLeftOut, clientMove, clientMedium, clientPressure],
	...[clientOneSide, clientPosture, clientUpright, clientMinutes, clientGoRound, clientMind],
	...[
		neckBothSides,
		eyeCap,
		throatCap,
		neckCap,
		collarboneCap,
		nodeCap,
		fluidCap,
		muscleCap,
		edgeCap,
		steepTilt,
		lidContact
	],
	...[insideGloves, insideAfter, insideTime, insideLicence, outsideLicence],
	...[outletClosed, openingMissing, openingOrder, receiverClosed, neckFirst, nearestFirst, napeMissing, layersMixed],
	...[deepThenDrain, stranded, closingPump, exitOpen, exitAfterNeck],
	...[againstDrainage, throatStraightDown, jawShort, liftDown, mouthEndsDown, neckDirection],
	...[noGlide, filmSpent, tapeOnOil, dryAfterOil, scentNearEye, unknownMedium],
	...[tapeWear, tapedSkin, tapeOpposed, tapeRemoval, tapeInSchool],
	...[twoHands, selfReach, exerciseBy, jawClenched, eyesOpen],
	...[
		unevenSides,
		middleTwice,
		deepTooLong,
		skinRubbed,
		rushedDrain,
		doseRange,
		coldTooLong,
		courseRest,
		contradiction,
		overBudget
	],
	...[handsClean, toolsClean],
	...[wishPressure, wishMedium, wishRoute],
	...[toolSwaps, backAndForth],
	drainPolicy,
	schoolFloor
];

const byId = new Map(RULES.map((rule) => [rule.id, rule]));
export const ruleById = (id: string): Rule | undefined => byId.get(id);
