import list from './views.json' with { type: 'json' };

/** A view: header, titles, the accessibility check and the pictures are made from the list of them. */
export interface View {
	/** Its address; what stands in [brackets] varies. */
	readonly path: string;
	/** What stands in the window's title before the name of the application. */
	readonly title: string;
	/** Its word in the header, where it stands there. */
	readonly label?: string;
	readonly nav?: boolean;
	/** A sheet or a stage of its own, without navigation. */
	readonly bare?: boolean;
	/** It fills the window at every size, and its parts scroll. */
	readonly full?: boolean;
	/** It lives from records: without a store there is nothing to show. What holds a draft of its own stays. */
	readonly records?: boolean;
	/** An address of the demo practice that shows it, where the path alone does not. */
	readonly sample?: string;
	/** Name of its picture in docs/screenshots. */
	readonly picture?: string;
}

export const VIEWS: readonly View[] = list;

const isAt = (path: string, address: string): boolean => {
	const [wanted, given] = [path.split('/'), address.split('/')];
	return wanted.length === given.length && wanted.every((part, i) => part.startsWith('[') || part === given[i]);
};

/** The view at an address; plain paths win over those that vary. */
export const viewAt = (address: string): View | undefined =>
	VIEWS.find((v) => v.path === address) ?? VIEWS.find((v) => isAt(v.path, address.replace(/\/$/, '') || '/'));
