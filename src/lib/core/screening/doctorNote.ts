import type { Person } from '../client/person.schema';
import { latestAnswers } from '../client/answers';
import { saidDay } from '../client/saidDay';
import { sidedWords } from '../client/sidedZone';
import type { Day } from '../client/days';
import { flagById } from './flags';

/** What is told a doctor, or whoever did a treatment, and what is asked: as plain text, in her own words where she gave any. */
export function doctorNote(client: Pick<Person, 'answers'> & { readonly name: string }, today: Day): string {
	const open = [...latestAnswers(client.answers).values()].flatMap((answer) => {
		const flag = answer.says === 'no' ? undefined : flagById(answer.flag);
		return flag?.ask ? [{ flag, answer }] : [];
	});
	const lines = open.map(({ flag, answer }) => {
		const told = [
			answer.says === 'unsure' ? 'not sure' : '',
			answer.since ? `since ${saidDay(answer.since)}` : '',
			sidedWords(answer.places).join('; '),
			answer.note
		].filter(Boolean);
		return `${flag.name}${told.length ? ` (${told.join('; ')})` : ''}\n  Asked: ${flag.ask}\n  Answer: ____________________  until: __________\n`;
	});
	return [
		`${client.name}, ${saidDay(today)}`,
		'',
		'Massage of face and neck by hand, light to firm, with oil, is planned.',
		'She told us what follows. We ask for your word before we go on; without it we leave it out.',
		'',
		...(lines.length ? lines : ['Nothing that was answered wants a doctor’s word.', '']),
		'Name, date and signature: ______________________________'
	].join('\n');
}
