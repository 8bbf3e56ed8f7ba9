import type { Sequence } from '../sequence/sequence.schema';
import { stepsOf } from '../sequence/walk';
import type { Working } from '../working/working.schema';
import { CLAIMS, LEVEL_NOTE, ofStartRange, openingNote, rangeText, workedText } from './claimWords';
import { CLAIM_OUTCOMES } from './claimOutcomes';
import { planOfSequence, type FlowPlan } from './compile';
import { HOW, LIMITS, TOY_CLOSED_NOTE, TOY_DEEP_NOTE } from './explanation';
import { LEFT_OUT, type LeftOutReason } from './mapping';
import { markGroups } from './markGroups';
import { onlyTheModel } from './meetsRules';
import { OUTCOMES, OUTCOME_IDS } from './outcomeIds';
import { PairedRun } from './paired';
import { turned } from './share';
import { gradesOfStart } from './starts';
import { tideOf } from './tide';
import { resultOf } from './verdict';
import { VARIANTS, variantOf, variantsFor } from './variants';
import {
	hangsOnWords,
	intervalWords,
	leads,
	leftOutWords,
	markWords,
	MODEL_SAYS,
	SHARE_SAYS,
	stepEffectWords,
	verdictWords,
	worthWords
} from './words';
import { WorthRun } from './worth';

/** A sentence of the product about the model, or one example of a kind, with what stands behind it. */
export interface ModelSentence {
	/** Where it is said. */
	readonly where: string;
	readonly sentence: string;
	/** The runs behind it: faces, or that it is put in. */
	readonly behind: string;
	/** Rules of docs/model.md, “What may and may not be said”, that it is held to. */
	readonly rules: readonly number[];
}

const DRAWS = 200;
/** Steps of each sequence that are weighed for examples, and sequences that are compared. */
const STEPS_WEIGHED = 4;

const ended = <T>(work: Generator<unknown, T>): T => {
	for (;;) {
		const piece = work.next();
		if (piece.done) return piece.value;
	}
};

function standing(): ModelSentence[] {
	const put = 'what was put in, or said of every figure';
	return [
		{ where: 'wherever a figure stands', sentence: MODEL_SAYS, behind: put, rules: [6] },
		{ where: 'below every comparison', sentence: SHARE_SAYS, behind: put, rules: [5] },
		{ where: 'a comparison in pressure', sentence: LEVEL_NOTE, behind: put, rules: [3] },
		{
			where: 'a comparison in openings',
			sentence: openingNote(),
			behind: `${CLAIMS.readyDraws} faces a sequence`,
			rules: [2]
		},
		...HOW.map(([title, text]) => ({ where: `The tide, ${title}`, sentence: text, behind: put, rules: [3, 6] })),
		...LIMITS.map((text) => ({
			where: 'The tide, limits',
			sentence: text,
			behind: `${CLAIMS.workedDraws} faces`,
			rules: [2, 4, 6]
		})),
		{ where: 'The tide, the small model', sentence: TOY_DEEP_NOTE, behind: put, rules: [3] },
		{
			where: 'The tide, the small model',
			sentence: TOY_CLOSED_NOTE,
			behind: `${CLAIMS.workedDraws} faces`,
			rules: [2]
		},
		...CLAIMS.worked.map(({ words, by }) => ({
			where: 'The tide, how sure it is',
			sentence: `${words}: ${CLAIM_OUTCOMES.map((m) => `${OUTCOMES[m].toLowerCase()} ${workedText(by[m])}`).join(', ')}`,
			behind: `worked programmes, ${CLAIMS.workedDraws} faces`,
			rules: [1, 2, 3, 4]
		})),
		...CLAIMS.ready.map(({ variant, sequences, percent, ofStart }) => ({
			where: 'The tide, the sequences that come with it',
			sentence: `As it is, rather than ${VARIANTS[variant].toLowerCase()}: in ${rangeText(percent)}; ${ofStartRange(ofStart)}`,
			behind: `${sequences} sequences, ${CLAIMS.readyDraws} faces each`,
			rules: [2, 3]
		}))
	];
}

function compared(sequence: Sequence, working: Working): ModelSentence[] {
	const ways = variantsFor(sequence, working);
	const all = [sequence, sequence, ...ways.map((v) => variantOf(sequence, v, v, working))];
	const titles = ['As it is', 'As it is again', ...ways.map((v) => VARIANTS[v])];
	const programmes = all.map((s) => planOfSequence(s, { working }).programme);
	const run = new PairedRun({
		programmes,
		grades: gradesOfStart('morning'),
		draws: DRAWS,
		seed: 1,
		zones: ['jawline']
	});
	run.advance(DRAWS);
	const { verdicts } = resultOf(run.figures);
	const behind = `${sequence.title}, ${DRAWS} faces`;
	return OUTCOME_IDS.flatMap((m) =>
		verdicts[m].flatMap((v, i): ModelSentence[] => {
			const [first, second] = [titles[0]!, titles[i + 1]!];
			// The share of whoever leads, as the sentence tells it.
			const interval = intervalWords(leads(v) < 0 ? turned(v) : v);
			return [
				{
					where: 'Which leaves less?',
					sentence: verdictWords(v, first, second, DRAWS),
					behind: interval ? `${behind}; share ${interval}` : behind,
					rules: [2, 3, 4, 5]
				},
				...hangsOnWords(v, leads(v) < 0 ? second : first).map((sentence) => ({
					where: 'What the lead hangs on',
					sentence,
					behind,
					rules: [2]
				}))
			];
		})
	);
}

function weighed(sequence: Sequence, plan: FlowPlan): ModelSentence[] {
	const behind = `${sequence.title}, ${DRAWS} faces`;
	const run = { plan, grades: gradesOfStart('morning'), draws: DRAWS };
	const layer = ended(new WorthRun(run).all());
	const deepest = [...layer.steps].sort((a, b) => b.ml.median - a.ml.median).slice(0, STEPS_WEIGHED);
	return [
		...deepest.flatMap(({ stepId }) =>
			worthWords(ended(new WorthRun(run).one(plan.stepIds.indexOf(stepId)))).map((sentence) => ({
				where: 'Inspector, In the model',
				sentence,
				behind,
				rules: [2, 5]
			}))
		),
		...deepest.map((effect) => ({
			where: 'What each step is worth',
			sentence: stepEffectWords(effect, DRAWS),
			behind,
			rules: [2, 5]
		}))
	];
}

function seen(sequence: Sequence, plan: FlowPlan): ModelSentence[] {
	const tide = tideOf(plan, gradesOfStart('morning'));
	const behind = `${sequence.title}, the middle face`;
	return [
		...markGroups(tide.marks).map((m) => ({
			where: 'marks, findings',
			sentence: `${markWords(m)}.`,
			behind,
			rules: [4, 6]
		})),
		...onlyTheModel(tide, []).map(({ why }) => ({ where: 'No rule says so', sentence: `${why}.`, behind, rules: [6] }))
	];
}

/** What is said where the place in the order matters: in the sequences that come with it, it nowhere does. */
function moved(): ModelSentence[] {
	const effect = {
		ml: { median: -0.3, p5: -0.6, p95: -0.1 },
		ofStart: { median: -0.02, p5: -0.04, p95: -0.01 },
		lessIn: 12,
		moreIn: 188
	};
	const worth = {
		stepId: '',
		draws: DRAWS,
		without: effect,
		staysWithout: null,
		withoutLink: null,
		earlier: effect,
		later: null
	};
	return worthWords(worth)
		.slice(1)
		.map((sentence) => ({
			where: 'Inspector, In the model',
			sentence,
			behind: 'figures by hand, for its form',
			rules: [2, 5]
		}));
}

/** What a sentence is an example of: figures, names and titles apart. */
const kindOf = ({ where, sentence }: ModelSentence): string =>
	`${where} ${sentence
		.replace(/“[^”]*”/g, '…')
		.replace(/[\d.,>]+/g, '0')
		.replace(
			/(into?|under|below|above|behind|between|before) (the )?[^;.]*? (on both sides|and never)|(left|right) [a-z ’-]+/g,
			'…'
		)}`;

/** Every sentence that can be said of the model: those that stand, and of each other kind one, from runs of these sequences. */
export function modelSentences(sequences: readonly Sequence[], working: Working): ModelSentence[] {
	const found = new Map<string, ModelSentence>();
	const add = (all: readonly ModelSentence[]) => all.forEach((s) => found.has(kindOf(s)) || found.set(kindOf(s), s));
	const rest = standing();
	for (const sequence of sequences) {
		const plan = planOfSequence(sequence, { working });
		add(compared(sequence, working));
		if (stepsOf(sequence).length) add(weighed(sequence, plan));
		add(seen(sequence, plan));
	}
	add(
		(Object.keys(LEFT_OUT) as LeftOutReason[]).map((reason) => ({
			where: 'a step the model does not know',
			sentence: leftOutWords({ stepId: '', reason, places: [] }),
			behind: 'docs/model-mapping.md',
			rules: [6]
		}))
	);
	add(moved());
	return [...rest, ...found.values()];
}

/** What no sentence may say, by rule, with why. Shares of faces never stand without the faces they are of. */
const FORBIDDEN: readonly (readonly [rule: number, pattern: RegExp, why: string])[] = [
	[5, /\b(probability|chance|likely|risk)\b(?! that something is true)/i, 'a share is no probability'],
	[6, /\b(will|your client|she|he|heals?|cures?|detox\w*|treats?|guarantee\w*)\b/i, 'no forecast for a person'],
	[2, /\b(best|optimal|should|must|proves?|proven)\b/i, 'no advice from small differences'],
	[1, /practically all of (?:the )?\d* ?(?!.*faces)/i, 'a share without its faces']
];

/** What is wrong with a sentence by the rules of what may be said; empty where nothing is. */
export function wrongWith(sentence: string): string[] {
	return FORBIDDEN.filter(([, pattern]) => pattern.test(sentence)).map(([rule, , why]) => `rule ${rule}: ${why}`);
}

/** docs/model-sentences.md. */
export function modelSentencesDoc(sentences: readonly ModelSentence[]): string {
	const rows = sentences.map(
		({ where, sentence, behind, rules }) =>
			`| ${where} | ${sentence.replaceAll('|', '\\|')} | ${behind} | ${rules.join(', ')} |`
	);
	return `# Everything the product can say about the model

Made from the code and from runs of the sequences that come with it (\`core/flow/modelSentences.ts\`) by \`npm run docs\`; a test holds it to that and checks every
sentence. What stands in figures, names and titles differs from sequence to sequence: of each kind there is one example. The numbers in the last column are the rules of
[the model](model.md), “What may and may not be said”.

| where | sentence | behind it | rules |
| --- | --- | --- | --- |
${rows.join('\n')}
`;
}
