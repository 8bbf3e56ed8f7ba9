import type { Clause } from '../clause';
import * as about from './about';
import * as amount from './amount';
import * as body from './body';
import * as touch from './touch';
import * as way from './way';

/** All clauses of a step line, in the order in which they are written. */
export const CLAUSES: readonly Clause[] = [
	about.target,
	touch.contact,
	touch.tool,
	touch.motion,
	touch.pressure,
	touch.levels,
	touch.rises,
	touch.swells,
	amount.dose,
	amount.at,
	amount.side,
	amount.pace,
	amount.lanes,
	way.lane,
	amount.back,
	amount.until,
	amount.amplitude,
	amount.returns,
	way.circling,
	way.spots,
	way.next,
	way.beside,
	amount.pose,
	way.stops,
	way.end,
	way.link,
	way.support,
	body.posture,
	body.turnedTo,
	body.mouth,
	body.eyes,
	body.breath,
	body.by,
	about.point,
	about.glide,
	about.strip,
	about.around,
	about.only,
	about.otherwise,
	about.choice,
	about.later,
	about.optional,
	about.from,
	about.because,
	about.replaces,
	about.note,
	about.why
];
