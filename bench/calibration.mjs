/** How fast the machine is just now: every figure of a page is read beside it. */
export function calibrate() {
	const begun = performance.now();
	let x = 1;
	for (let i = 0; i < 1e7; i++) x = x * 1.0000001 + 1e-9;
	const tookMs = performance.now() - begun;
	console.log(`calibration: 10,000,000 dependent multiply-adds in Node ${tookMs.toFixed(0)} ms (${x > 0})`);
}
