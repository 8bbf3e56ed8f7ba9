import { Fetched } from '../../../state/fetched.svelte';

/** Lists and menus that float over a page: what places and moves them is fetched once for all. */
export const selectList = new Fetched(async () => (await import('./SelectList.svelte')).default);
export const menuList = new Fetched(async () => (await import('./MenuList.svelte')).default);
export const tipLayer = new Fetched(async () => (await import('./TipLayer.svelte')).default);
