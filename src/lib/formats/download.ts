/** A file of one client, by the end of the id: a name would stay readable in the browser’s own list of downloads. @param day ISO date */
export const clientFileName = (clientId: string, what: string, day: string, extension: string): string =>
	fileName(`client ${clientId.slice(-8)} ${what} ${day.slice(0, 10)}`, extension);

/** A file name that any system takes: letters, digits and hyphens. */
export function fileName(title: string, extension: string): string {
	const plain = title
		.normalize('NFKD')
		.replace(/[\u0300-\u036f]/g, '')
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-+|-+$/g, '')
		.slice(0, 60);
	return `${plain || 'untitled'}.${extension}`;
}
