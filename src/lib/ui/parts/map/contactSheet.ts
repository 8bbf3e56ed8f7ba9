/** A sheet of A4 inside its margins, px at 96 a sheet inch. */
const PAGE = { width: 710, height: 1040 };
/** Head of the first page: title, a line on it, the caution. */
const HEAD_PX = 90;
/** Height of the words under a face, and the gap to the next. */
const WORDS_PX = 52;
const GAP_PX = 12;
/** Height of a face for its width. */
const FACE_RATIO = 654 / 524;

/** Rows that fit a page with so many columns. */
function rowsOn(height: number, columns: number): number {
	const width = (PAGE.width - GAP_PX * (columns - 1)) / columns;
	return Math.floor(height / (width * FACE_RATIO + WORDS_PX + 8));
}

/** How many faces stand side by side so that all of them print on two pages; never fewer than four. */
export function sheetColumns(steps: number): number {
	for (let columns = 4; columns < 12; columns++) {
		const fit = columns * (rowsOn(PAGE.height - HEAD_PX, columns) + rowsOn(PAGE.height, columns));
		if (fit >= steps) return columns;
	}
	return 12;
}
