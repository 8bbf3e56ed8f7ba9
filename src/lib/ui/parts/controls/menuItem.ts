/** A line of a `Menu`: it does something, or leads somewhere. */
export interface MenuItem {
	readonly label: string;
	/** Tells it from others of the same words; what the mark before it stands for, where the menu draws marks. */
	readonly key?: string;
	readonly onselect?: () => void;
	/** An address that it leads to. */
	readonly href?: string;
	readonly disabled?: boolean;
	/** One that is on or off. */
	readonly checked?: boolean;
	/** One of several of which one is chosen. */
	readonly chosen?: boolean;
	/** It opens a field, which takes the focus: the button does not take it back. */
	readonly opensField?: boolean;
}
