import { z } from 'zod';
import { FLOW_PARAMETER_NAMES, FLOW_PARAMETERS, type FlowParameterName } from './parameterTable';

/**
 * The parameters of the model, each a working value with its default and range. Kept apart from its table, so that
 * the worker that only computes does without the checker.
 */
export const FlowParametersSchema = z.strictObject(
	Object.fromEntries(
		FLOW_PARAMETER_NAMES.map((name) => {
			const { min, max, unit, meaning, default: value } = FLOW_PARAMETERS[name];
			const range = `${name} must lie between ${min} and ${max}${unit ? ` ${unit}` : ''}: ${meaning}`;
			return [
				name,
				z.number({ error: range }).min(min, range).max(max, range).default(value).describe(`${meaning} (working value)`)
			];
		})
	) as unknown as Record<FlowParameterName, z.ZodDefault<z.ZodNumber>>
);
