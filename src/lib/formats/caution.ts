/** The caution that goes with every sequence that leaves the application. */
export const CAUTION_LINE =
	'Not medical care. Stop on pain, dizziness, numbness or breathlessness. Local codes and your licence come first; refer what you cannot explain.';
