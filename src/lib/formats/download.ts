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
