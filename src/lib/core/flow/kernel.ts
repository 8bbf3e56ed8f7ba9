import base64 from 'virtual:flow-kernel';

/** Faces that the kernel runs side by side. */
export const KERNEL_FACES = 4;

/** Arrays that the kernel works on, each with its numbers a face: where they begin is told through a global of that name. */
export const KERNEL_ARRAYS = {
	ml: 'places',
	ceilingMl: 'places',
	open: 'nodes',
	warm: 'zones',
	cold: 'zones',
	base: 'zones',
	rate: 'edges',
	vein: 'nodes',
	receive: 'nodes',
	into: 'nodes',
	gone: 'nodes',
	veinMl: 'one',
	filteredMl: 'one',
	g0: 'one',
	beta: 'one',
	byWarmth: 'one',
	xC: 'one',
	decayOpen: 'one',
	decayWarm: 'one',
	decayCold: 'one'
} as const;
export type KernelArray = keyof typeof KERNEL_ARRAYS;

type Passive = (steps: number, seconds: number, deep: number, warmed: number, chilled: number) => void;
export interface Kernel {
	readonly passive: Passive;
	readonly memory: WebAssembly.Memory;
	/** Tells where something lies, or how many there are. */
	set(name: string, value: number): void;
}

let module: WebAssembly.Module | null | undefined;
/** The compiled kernel; null where WebAssembly or its vectors are missing or forbidden. */
function kernelModule(): WebAssembly.Module | null {
	if (module !== undefined) return module;
	try {
		module = new WebAssembly.Module(Uint8Array.from(atob(base64), (c) => c.charCodeAt(0)));
	} catch {
		module = null;
	}
	return module;
}

/** A kernel with a memory of its own; null where it cannot run: `EngineFaces` gives the same figures, slower. */
export function openKernel(pages: number): Kernel | null {
	const compiled = kernelModule();
	if (!compiled) return null;
	const memory = new WebAssembly.Memory({ initial: pages });
	const { exports } = new WebAssembly.Instance(compiled, { env: { memory } });
	return {
		memory,
		passive: exports.passive as Passive,
		set: (name, value) => ((exports[name] as WebAssembly.Global).value = value)
	};
}
