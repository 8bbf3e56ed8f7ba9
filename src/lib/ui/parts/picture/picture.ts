/** A drawing that stands by itself: no style sheet, no variable, every colour written out. */
export interface Picture {
	readonly svg: string;
	/** px */
	readonly width: number;
	readonly height: number;
}
