/** From the screen’s values to light. */
const LINEAR = Float64Array.from({ length: 256 }, (_, i) => {
	const v = i / 255;
	return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

/** How bright a picture is at a place, linear, 0 to 1; null beyond its edge. */
export function luminanceOf(canvas: OffscreenCanvas): (x: number, y: number) => number | null {
	const context = canvas.getContext('2d', { willReadFrequently: true })!;
	const { width, height, data } = context.getImageData(0, 0, canvas.width, canvas.height);
	return (x, y) => {
		if (x < 0 || y < 0 || x >= width || y >= height) return null;
		const o = 4 * (y * width + x);
		return 0.2126 * LINEAR[data[o]!]! + 0.7152 * LINEAR[data[o + 1]!]! + 0.0722 * LINEAR[data[o + 2]!]!;
	};
}
