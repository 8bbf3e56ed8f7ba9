/** The code of the pool's thread, bundled (scripts/jobWorkerPlugin.ts). */
declare module 'virtual:job-worker' {
	const code: string;
	export default code;
}

declare module 'virtual:flow-kernel' {
	/** The inner loop of the flow model as WebAssembly, in base 64. */
	const base64: string;
	export default base64;
}
