import { dayAfter, type Day } from '../core/client/days';
import type { Answer } from '../core/client/answer.schema';
import { newAnswer } from '../core/client/answers';
import { PreferencesSchema, type Person } from '../core/client/person.schema';

/** What the people of the demo have answered, what is marked on their maps, and what they wish. All invented. */
type Known = Partial<Person>;

const answer = (flag: string, day: Day, change: Partial<Answer> = {}): Answer =>
	newAnswer({ flag, says: 'yes', day, at: `${day}T06:30:00.000Z`, ...change });
const no = (day: Day, ...flags: string[]): Answer[] => flags.map((flag) => answer(flag, day, { says: 'no' }));
const wishes = (change: Partial<Person['preferences']>): Person['preferences'] =>
	PreferencesSchema.parse({ ...PreferencesSchema.parse({}), ...change });
const ACUTE = ['fever', 'acute-infection', 'lump', 'one-sided-swelling', 'blood-clot', 'facial-droop'];

/** @param first the day of the first visit @param today the day on which the demo is made */
export function knownOf(id: string, first: Day, today: Day): Known {
	const before = (days: number): Day => dayAfter(today, -days);
	const agreed = (what: string) => [{ id: `${id}-consent`, what, on: first, withdrawn: null }];
	switch (id) {
		case 'demo-odile':
			return {
				birthYear: 1979,
				answers: [answer('nut-allergy', first), ...no(first, ...ACUTE, 'carotid', 'glaucoma', 'latex-allergy')],
				goals: ['morning-depuff', 'under-eye'],
				preferences: wishes({
					pressure: 'lighter',
					dislikes: ['almond-oil'],
					likes: ['light-oil'],
					room: 'Window open, no lamp on the eyes.',
					voice: 'Quiet after the first minutes.'
				}),
				consents: agreed('Face and neck, oil, no photographs.')
			};
		case 'demo-radu':
			return {
				birthYear: 1986,
				answers: [...no(first, ...ACUTE, 'jaw-locks', 'blood-thinner', 'carotid')],
				goals: ['jaw-tension', 'jaw-contour'],
				preferences: wishes({ pressure: 'firmer', voice: 'Talks about glass.' }),
				consents: agreed('Face, jaw and neck; inside the cheek only when asked each time. Photographs, kept here.')
			};
		case 'demo-svea':
			return {
				birthYear: 1992,
				answers: [...no(first, ...ACUTE, 'blood-thinner', 'pregnancy', 'carotid')],
				goals: ['open-eye', 'glow'],
				preferences: wishes({ cheekRoute: 'outward' }),
				consents: agreed('Face and neck, oil; photographs for the record, kept here.')
			};
		case 'demo-l14':
			return {
				birthYear: 1958,
				skinTone: 'almond',
				answers: [
					...no(first, ...ACUTE, 'carotid', 'stroke', 'goitre', 'pacemaker', 'epilepsy', 'latex-allergy'),
					answer('blood-thinner', first, { since: '2022-05-01' }),
					answer('low-blood-pressure', first),
					answer('eye-surgery', before(11), {
						places: ['upper-eyelid:right', 'lower-eyelid:right', 'inner-canthus:right', 'outer-canthus:right'],
						since: before(38)
					}),
					answer('filler', before(11), { places: ['nasolabial:left'], since: before(21) })
				],
				clearances: [
					{
						id: 'demo-l14-cleared',
						flag: 'blood-thinner',
						by: 'the house doctor',
						on: before(30),
						until: dayAfter(today, 60),
						what: 'Light massage of face and neck.'
					}
				],
				marks: [
					{
						id: 'demo-l14-mole',
						kind: 'mole',
						zone: 'malar',
						side: 'left',
						sizeMm: 5,
						since: before(40),
						note: 'Unchanged in three visits.'
					},
					{
						id: 'demo-l14-scar',
						kind: 'scar',
						zone: 'jawline',
						side: 'right',
						sizeMm: 22,
						since: '1996-07-01',
						note: 'From childhood.'
					}
				],
				asymmetry: { places: ['brow:left'], note: 'Left brow always a little higher.', since: null },
				goals: ['under-chin', 'jaw-contour', 'wind-down'],
				preferences: wishes({
					pressure: 'lighter',
					dislikes: ['scented-oil'],
					likes: ['sunflower-oil'],
					room: 'Blanket, warm feet.',
					voice: 'Nothing said after the opening.'
				}),
				consents: agreed('Nape, neck and jaw, oil, no photographs; to be asked again after the eye has settled.')
			};
		default:
			return {};
	}
}
