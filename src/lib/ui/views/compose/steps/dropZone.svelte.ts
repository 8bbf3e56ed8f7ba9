import type { Action } from 'svelte/action';

type Library = typeof import('svelte-dnd-action');
export interface DropItem {
	readonly id: string;
}
interface ZoneOptions {
	readonly items: readonly DropItem[];
	readonly disabled: boolean;
	readonly onconsider: (items: DropItem[]) => void;
	/** The item that was dropped here; null where one only left. */
	readonly onfinalize: (items: DropItem[], dropped: string | null) => void;
}

let library = $state.raw<Library | null>(null);
let asked = false;

/** Fetched when a pointer comes to the list: by keys nobody drags. */
export function loadDragging(): void {
	if (asked) return;
	asked = true;
	void import('svelte-dnd-action').then((module) => (library = module));
}

interface DropDetail {
	items: DropItem[];
	info: { id: string; trigger: string };
}

/** A list whose items can be dragged within it and into other lists. Keys move steps elsewhere, so items take no tab stop. */
export const dropZone: Action<HTMLElement, ZoneOptions> = (node, initial) => {
	let options = initial;
	let zone: { update?: (options: never) => void; destroy?: () => void } | undefined;
	const settings = () => ({
		items: [...options.items],
		dragDisabled: options.disabled,
		flipDurationMs: 0,
		dropTargetStyle: {},
		type: 'steps',
		zoneTabIndex: -1,
		zoneItemTabIndex: -1,
		autoAriaDisabled: true,
		// A finger that scrolls does not drag.
		delayTouchStart: 250
	});
	const apply = () => {
		if (!library) return;
		if (zone) zone.update?.(settings() as never);
		else {
			zone = library.dndzone(node, settings()) as unknown as typeof zone;
			node.dataset.drag = 'ready';
		}
	};
	$effect(apply);
	const consider = (e: Event) => options.onconsider((e as CustomEvent<DropDetail>).detail.items);
	const finalize = (e: Event) => {
		const { items, info } = (e as CustomEvent<DropDetail>).detail;
		options.onfinalize(items, info.trigger === 'droppedIntoZone' ? info.id : null);
	};
	node.addEventListener('consider', consider);
	node.addEventListener('finalize', finalize);
	return {
		update(next) {
			options = next;
			apply();
		},
		destroy() {
			zone?.destroy?.();
			node.removeEventListener('consider', consider);
			node.removeEventListener('finalize', finalize);
		}
	};
};
