/** From which side: a profile shows the client’s left or right. */
export const PHOTO_VIEWS = ['front', 'left', 'right'] as const;
export type PhotoView = (typeof PHOTO_VIEWS)[number];
export const VIEW_LABELS: Readonly<Record<PhotoView, string>> = {
	front: 'Front',
	left: 'Client’s left',
	right: 'Client’s right'
};
