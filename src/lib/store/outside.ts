/** The few things that lie beside the database: they are needed before it is open, or belong to this window’s look. They hold nothing of a client. */
const NAMES = { theme: 'soft-tide-theme', demoMade: 'soft-tide-demo-made', room: 'soft-tide-room' } as const;
export type OutsideName = keyof typeof NAMES;

/** The browser’s other store may be full, or refused: then it is done without. @returns whether it is remembered */
export function rememberOutside(name: OutsideName, value: string): boolean {
	try {
		localStorage.setItem(NAMES[name], value);
		return true;
	} catch {
		return false;
	}
}

export function recallOutside(name: OutsideName): string | null {
	try {
		return localStorage.getItem(NAMES[name]);
	} catch {
		return null;
	}
}

/** Takes away whatever of ours lies beside the database, also what earlier versions left there. */
export function clearOutside(keep: readonly OutsideName[]): void {
	try {
		const kept = keep.map((name) => NAMES[name] as string);
		for (const key of Object.keys(localStorage).filter((k) => k.startsWith('soft-tide')))
			if (!kept.includes(key)) localStorage.removeItem(key);
	} catch {
		// Where nothing can be read, nothing is there.
	}
}
