import { MediaQuery } from 'svelte/reactivity';

/** From here on parts stand side by side and the header shows every view; Tailwind calls it `lg`. */
export const wideWindow = (): MediaQuery => new MediaQuery('min-width: 1024px', true);
