import fontUrl from '@fontsource-variable/commissioner/files/commissioner-latin-full-normal.woff2?url';
import { fileName } from '$lib/formats/download';
import { saveFile } from '../controls/saveFile';
import type { Picture } from './picture';

/** Pixels of a PNG for one of the drawing: sharp on paper and on any screen. */
const PNG_SCALE = 2;

async function base64(url: string): Promise<string> {
	const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer());
	let text = '';
	for (let i = 0; i < bytes.length; i += 0x8000) text += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
	return btoa(text);
}

/** The drawing with its typeface inside: a picture of a picture has no other. */
async function withFont(svg: string): Promise<string> {
	const face = `<defs><style>@font-face{font-family:'Commissioner Variable';src:url(data:font/woff2;base64,${await base64(fontUrl)}) format('woff2');font-weight:100 900}</style></defs>`;
	return svg.replace(/(<svg[^>]*>)/, `$1${face}`);
}

async function toPng({ svg, width, height }: Picture): Promise<Blob> {
	const url = URL.createObjectURL(new Blob([await withFont(svg)], { type: 'image/svg+xml' }));
	try {
		const image = new Image();
		image.src = url;
		await image.decode();
		const canvas = document.createElement('canvas');
		canvas.width = width * PNG_SCALE;
		canvas.height = height * PNG_SCALE;
		canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
		return await new Promise<Blob>((done, fail) =>
			canvas.toBlob((b) => (b ? done(b) : fail(new Error('no picture'))), 'image/png')
		);
	} finally {
		URL.revokeObjectURL(url);
	}
}

/** Hands a picture to the browser as a file. */
export async function savePicture(picture: Picture, title: string, kind: 'svg' | 'png'): Promise<void> {
	if (kind === 'svg') saveFile(fileName(title, 'svg'), picture.svg, 'image/svg+xml');
	else saveFile(fileName(title, 'png'), await toPng(picture), 'image/png');
}
