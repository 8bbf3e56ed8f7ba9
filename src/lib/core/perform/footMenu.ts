/** What can be asked for by foot, one after the other; what cannot be asked just now is passed over. A new one is a row. */
export const FOOT_ITEMS = {
	yes: 'Yes',
	undo: 'Undo',
	tender: 'Tender here',
	ten: 'Ten minutes to go',
	swap: 'Swap for a like move',
	quiet: 'Quiet',
	softer: 'Softer',
	louder: 'Louder',
	slower: 'Slower',
	stop: 'When to stop',
	back: 'Back'
} as const;
export type FootItem = keyof typeof FOOT_ITEMS;
export const FOOT_IDS = Object.keys(FOOT_ITEMS) as FootItem[];

/** A menu that the feet walk: one item is at hand, and it closes by itself. Null: it is closed. */
export interface FootMenu {
	readonly item: FootItem;
	/** When it was last walked, ms. */
	readonly atMs: number;
}
/** It closes after so long without a press. */
export const FOOT_CLOSES_MS = 6000;

type Can = (item: FootItem) => boolean;
const from = (start: number, can: Can): FootItem =>
	FOOT_IDS.map((_, i) => FOOT_IDS[(start + i) % FOOT_IDS.length]!).find((id) => id === 'back' || can(id))!;

export const openMenu = (can: Can, atMs: number): FootMenu => ({ item: from(0, can), atMs });
/** The next item that can be asked for; after the last comes the first. */
export const walkMenu = (menu: FootMenu, can: Can, atMs: number): FootMenu => ({
	item: from(FOOT_IDS.indexOf(menu.item) + 1, can),
	atMs
});
export const hasClosed = (menu: FootMenu, nowMs: number): boolean => nowMs - menu.atMs >= FOOT_CLOSES_MS;
