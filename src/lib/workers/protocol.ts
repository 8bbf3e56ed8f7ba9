import type { Mendable, Problem } from '../formats/problem';
import type { ImportPreview } from '../formats/backup/importPreview';
import type { StartGrades } from '../core/flow/starts';
import type { Tide } from '../core/flow/tide';
import type { ComparisonInput, ComparisonResult } from '../core/flow/comparison.schema';
import type { AllWorth, StepWorth } from '../core/flow/worth';
import type { PairedFigures } from '../core/flow/paired';
import type { Sequence } from '../core/sequence/sequence.schema';
import type { Hold } from '../store/lock/vault';
import type { Working } from '../core/working/working.schema';
import type { PairComparison } from '../core/measure/compare';
import type { FrontPoint, MeasuredView, Points } from '../core/measure/landmarks';
import type { Stance } from '../core/measure/hints';
import type { Light } from '../core/measure/light';
import type { PairMeasureId } from '../core/measure/pairIds';
import type { PointedPhoto } from '../core/measure/photo.schema';
import type { StudyCamera, StudyFace } from '../demo/camera/face.schema';
import type { Picture } from '../demo/camera/picture';

/** What page and workers say to one another: plain data only. */
export interface TideRequest {
	readonly sequence: Sequence;
	readonly working: Working;
	/** Grade of every zone of the face network. */
	readonly grades: StartGrades;
}
export interface TideWorker {
	/** Runs a sequence; `worth` then speaks of it. */
	tide(request: TideRequest): Tide;
	/** What a step is worth in the sequence that was run last; null if it has no such step, or if it is no longer the last. */
	worth(stepId: string): Promise<StepWorth | null>;
	/**
	 * What every step of it is worth; null as above.
	 * @param progress told which share of it is done, 0..1
	 */
	allWorth(progress: (done: number) => void): Promise<AllWorth | null>;
}

export interface CompareWorker {
	/**
	 * Runs a stretch of the draws.
	 * @param stretch number of the first draw, and how many
	 * @param progress told how many of them are done
	 * @returns null if it was cancelled
	 */
	run(
		input: ComparisonInput,
		stretch: { readonly from: number; readonly draws: number },
		progress: (done: number) => void
	): Promise<PairedFigures | null>;
	/** What the figures of all stretches say, in their order. */
	result(parts: readonly PairedFigures[]): ComparisonResult;
	cancel(): void;
}

/** How far files are, in records. */
export interface Progress {
	readonly stage: 'write' | 'check' | 'compare' | 'bring';
	readonly done: number;
}
export interface WrittenBackup {
	readonly exportedAt: string;
	readonly file: Blob;
	/** What is not in it, since an import would refuse it. */
	readonly leftOut: readonly Problem[];
}
/** What a file would do, or what is wrong with it. */
export type ReadFile = Mendable<ImportPreview>;
/** A database, and how its records are held: a worker opens it by itself. */
export interface StoreAt {
	readonly name: string;
	readonly hold: Hold;
}
export interface ExchangeWorker {
	/** Everything of a database as a backup. */
	write(at: StoreAt, progress: (p: Progress) => void): Promise<WrittenBackup>;
	/** What a file would do; kept until it is carried out or forgotten. Nothing is written. */
	read(at: StoreAt, file: Blob, mend: boolean, progress: (p: Progress) => void): Promise<ReadFile>;
	/** Carries out what was read last: how many records came in, or what it would do now that something was changed here. */
	apply(at: StoreAt, progress: (p: Progress) => void): Promise<number | ImportPreview>;
	forget(): void;
}

/** A picture as it is kept, with a small one. */
export interface TakenPicture {
	readonly picture: { readonly type: string; readonly bytes: Uint8Array<ArrayBuffer> };
	readonly thumb: { readonly type: string; readonly bytes: Uint8Array<ArrayBuffer> };
	readonly widthPx: number;
	readonly heightPx: number;
}
export type ReadPicture =
	{ readonly ok: true; readonly taken: TakenPicture } | { readonly ok: false; readonly sentence: string };
export interface Simulation {
	readonly face: StudyFace;
	readonly camera: StudyCamera;
	/** Of the surface, 0.3 to 1. */
	readonly quality: number;
}
export interface SimulatedPicture {
	readonly taken: TakenPicture;
	/** Where the landmarks are, which only a simulated camera knows. */
	readonly truth: Points;
}
export interface ComparePhotos {
	readonly before: PointedPhoto;
	readonly after: PointedPhoto;
	readonly primaries: readonly PairMeasureId[];
	readonly view: MeasuredView;
	/** Pairs of one and the same moment: what the own error is told from. */
	readonly retakes: readonly (readonly [PointedPhoto, PointedPhoto])[];
}
export interface PhotoWorker {
	read(file: Blob): Promise<ReadPicture>;
	/** How a face is lit; null where points are missing. */
	light(file: Blob, points: Points<FrontPoint>): Promise<Light | null>;
	/** @param progress told how much is done, 0 to 1 */
	simulate(asked: Simulation, progress: (share: number) => void): Promise<SimulatedPicture>;
	/** A quick look, as a canvas takes it. */
	preview(asked: Simulation): Picture;
	/** @param progress told how much is done, 0 to 1 */
	compare(asked: ComparePhotos, progress: (share: number) => void): PairComparison;
}

/** One face on a picture. */
export interface SeenFace {
	/** That may be suggested, px of the picture. */
	readonly points: Points<FrontPoint>;
	readonly stance: Stance;
}
export interface DetectorWorker {
	look(bitmap: ImageBitmap, fine: boolean): Promise<SeenFace | { readonly doubt: string }>;
}
