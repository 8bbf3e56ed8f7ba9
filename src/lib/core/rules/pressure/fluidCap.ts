import { capRule } from './capBreaches';

/** Strokes for fluid: no deeper than the school holds. */
export const fluidCap = capRule('fluid', {
	id: 'fluid-cap',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop',
	policy: (s) => `fluid at level ${s.caps.fluid} at most`
});
