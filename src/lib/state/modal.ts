/** Whether something asks to be answered before all else: keys then belong to it, wherever the focus is. */
export const modalOpen = (): boolean =>
	document.querySelector('[role="alertdialog"], [role="dialog"][aria-modal="true"]') !== null;
