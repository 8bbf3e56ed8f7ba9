/** The code of the pool's thread, bundled (scripts/jobWorkerPlugin.ts). */
declare module 'virtual:job-worker' {
	const code: string;
	export default code;
}
