/** The code of the pool's thread, bundled (scripts/flowWorkerPlugin.ts). */
declare module 'virtual:flow-worker' {
	const code: string;
	export default code;
}
