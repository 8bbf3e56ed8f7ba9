import { CONTACTS, MOTIONS, type Motion } from '../vocabulary/vocabulary';
import { LEFT_OUT, mappingOf } from './mapping';
import { FLOW_PARAMETER_NAMES, FLOW_PARAMETERS } from './parameterTable';

/** docs/model-mapping.md: what the model makes of a sequence, and its parameters, from the tables of the code. */
export function mappingDoc(): string {
	const motions = (Object.keys(MOTIONS) as Motion[]).map((motion) => {
		const { technique, why } = mappingOf(motion);
		return `| ${motion} | ${technique ?? 'left out'} | ${why} |`;
	});
	const parameters = FLOW_PARAMETER_NAMES.map((name) => {
		const { default: value, min, max, unit, meaning } = FLOW_PARAMETERS[name];
		return `| ${name} | ${+value.toPrecision(4)} | ${+min.toPrecision(4)} to ${+max.toPrecision(4)} | ${unit || 'none'} | ${meaning} |`;
	});
	return `# What the model makes of a sequence

Made from the code (\`core/flow/mapping.ts\`, \`core/flow/parameterTable.ts\`) by \`npm run docs\`; a test holds it to that.

## Motions

| motion | technique of the model | why |
| --- | --- | --- |
${motions.join('\n')}

A motion that slides over one place only is a hold: there is nowhere to carry to.

## Everything else of a step

- **Hand** (${Object.keys(CONTACTS).join(', ')}): what is moved does not depend on it. Without motion and hand it is a rest; \`thumb-inside\` is left out.
- **Tools**: as by hand, at the step's pressure. Cold globes, and the aim cool, cool each zone of the path; globes that slide carry as well, in the same repetition.
- **Pressure**: one level, or a level a place. What is pressed out of a place depends on the level there; what is opened or warmed, on the level of the place that is touched.
- **Sides**: both is left, then right, then one stretch of time; one after the other with its change of hands; in turn, repetition by repetition. Elements with a side of their own keep it and are mirrored on the other side. A path over the midline is one pass.
- **Lanes** repeat the path; the **way back** runs it in reverse, with its levels. **Stations** are holds.
- **Waits**, what the client does meanwhile without a hand, and the cleansing of hands and tools are rests: their time goes by.
- A step that works the skin and **names no place** is named and left out (\`no-place\`); nothing is left out without being named.
- **Repeats** in time or breaths over several places that stay where they are go from place to place; counted repetitions go over all of them.
- **Drain links** run once from where the step ended, over what lies between, along their node groups, and pump at the last one.
- **Breath**: counted breaths, and moves that wait for the breath, are deep breathing.
- **Time**: transitions, rests, hands and tools that are cleansed pass as they are expanded. Nothing takes longer or shorter than in the score.

## Named and left out, while the time goes by

${Object.entries(LEFT_OUT)
	.map(([id, words]) => `- \`${id}\`: ${words}`)
	.join('\n')}

## Parameters (working values, all of them; shown, not edited)

| name | working value | drawn from | unit | meaning |
| --- | --- | --- | --- | --- |
${parameters.join('\n')}
`;
}
