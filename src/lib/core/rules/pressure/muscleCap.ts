import { capRule } from './capBreaches';

/** Work on muscle: no deeper than the school holds. */
export const muscleCap = capRule('muscle', {
	id: 'muscle-cap',
	severity: 'caution',
	floor: 'caution',
	ceiling: 'stop',
	policy: (s) => `muscle at level ${s.caps.muscle} at most`
});
