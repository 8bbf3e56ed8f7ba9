/**
 * What was to be saved, or what it belongs to, was removed meanwhile: in another window, or with its client. Nothing is
 * stored, so that nothing comes back without its owner.
 */
export class RecordGone extends Error {
	override name = 'RecordGone';
	/**
	 * @param what the title of its kind
	 * @param owner the kind of what it belonged to, where that is gone too: then it cannot be kept
	 */
	constructor(
		what: string,
		readonly owner: string | null
	) {
		const of = owner ? `, and so was the ${owner} that it belongs to` : '';
		super(`This ${what.toLowerCase()} was removed in another window${of}. Your change is not stored.`);
	}
}
