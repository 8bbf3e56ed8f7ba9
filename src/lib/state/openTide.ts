import { TideClient } from '../workers/tideClient';
import { TideState } from './tide.svelte';

/** The tide of what is edited, computed in a worker of its own. */
export const openTide = (input: ConstructorParameters<typeof TideState>[1]): TideState =>
	new TideState(new TideClient(), input);
