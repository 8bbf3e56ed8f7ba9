/** Addresses of pages. An id may come from a file and hold anything: a slash, a percent sign, dots that would lead elsewhere. */
const inPath = (id: string): string => (/^\.+$|^~/.test(id) ? '~' : '') + encodeURIComponent(id);

/** The id that an address names. */
export const idIn = (param: string | undefined): string => (param?.startsWith('~') ? param.slice(1) : (param ?? ''));

type Query = Readonly<Record<string, string | null | undefined>>;
/** An address with what is asked of the page. */
export function withQuery(path: string, query: Query): string {
	const given = Object.entries(query).filter((pair): pair is [string, string] => Boolean(pair[1]));
	return given.length ? `${path}?${new URLSearchParams(given)}` : path;
}

export const composeAt = (id: string, step?: string): string => withQuery(`/compose/${inPath(id)}`, { step });
export const clientAt = (id: string): string => `/clients/${inPath(id)}`;
/** @param part of the session; absent: the one that is at hand */
export const sessionAt = (id: string, part?: 'before'): string => withQuery(`/session/${inPath(id)}`, { part });
/** The tour, over a sequence. */
export const touring = (sequenceId: string): string => withQuery(composeAt(sequenceId), { tour: '1' });
/** Before a session: of a client, with a sequence that is wished. */
export const sessionFor = (client: string | null, sequence?: string): string =>
	withQuery('/session', { client, sequence });
export const printAt = (id: string): string => `/print/${inPath(id)}`;
export const facesAt = (id: string): string => `/print/${inPath(id)}/faces`;
/** What the stage will show and say, from beginning to end. */
export const readAt = (id: string): string => `/print/${inPath(id)}/read`;
export const progressOf = (client: string, session?: string): string => withQuery('/progress', { client, session });
export const photosOf = (client: string | null, session?: string | null): string =>
	withQuery('/progress/photos', { client, session });
export const photoAt = (id: string): string => `/progress/photos/${inPath(id)}`;
export const pairOf = (before: string, after: string): string =>
	withQuery('/progress/compare', { a: before, b: after });
/** Where a photograph is taken. */
export const cameraFor = (query: {
	client: string;
	session: string | null;
	when: string;
	view: string;
	of: string;
}): string => withQuery('/progress/camera', query);
export const weeksOf = (client: string): string => withQuery('/progress/weeks', { client });
export const reportOn = (client: string): string => withQuery('/progress/report', { client });
export const practiseAt = (drill: string): string => withQuery('/practise', { drill });
export const moveAt = (id: string): string => withQuery('/library', { move: id });
export const byTwoSchools = (query: { a?: string; sequence?: string }): string => withQuery('/library/compare', query);
export const compareAt = (a: string, b: string): string => withQuery('/compose/compare', { a, b });

/** The tide of several sequences: a comma within an id does not part it. */
export const tideOf = (ids: readonly string[]): string =>
	withQuery('/compose/tide', { ids: ids.map(encodeURIComponent).join(',') });
export const idsIn = (list: string | null): string[] =>
	(list ?? '')
		.split(',')
		.filter(Boolean)
		.map((id) => {
			try {
				return decodeURIComponent(id);
			} catch {
				return id;
			}
		});
