import type { Binary } from '../core/records/binary';
import type { Photo } from '../core/records/photo';
import type { ClientId } from '../core/step/common.schema';
import { tableOf, type SoftTideDb } from './db';
import type { Stamp } from './reading';
import type { Saved } from './saveRecord';

/** A picture as it is stored. */
export interface PictureFile {
	readonly type: string;
	readonly bytes: Uint8Array<ArrayBuffer>;
}
export type NewPhoto = Omit<Photo, 'id' | 'revision' | 'updatedAt' | 'fileId' | 'thumbId'>;

/** Who only looks at photographs does not fetch what keeps them. */
const writing = () => import('./photoWriting');

/** Photographs and their files: both go together, and in one transaction. */
export class Photos {
	constructor(
		private readonly db: SoftTideDb,
		private readonly stamp: () => Stamp
	) {}

	/** Of a client, the earliest first. */
	of = async (clientId: ClientId): Promise<Photo[]> =>
		(await tableOf(this.db, 'photo').where('clientId').equals(clientId).toArray()).sort(
			(a, b) => a.takenAt.localeCompare(b.takenAt) || a.id.localeCompare(b.id)
		);
	/** Of everybody: retakes tell how exactly the practitioner measures, whoever sat before her. */
	all = (): Promise<Photo[]> => tableOf(this.db, 'photo').toArray();
	get = (id: string): Promise<Photo | undefined> => tableOf(this.db, 'photo').get(id);
	file = (id: string): Promise<Binary | undefined> => tableOf(this.db, 'binary').get(id);

	/** Keeps a photograph with its picture and a small one of it. @throws whatever the database throws; nothing is stored then */
	add = async (photo: NewPhoto, picture: PictureFile, thumb: PictureFile): Promise<Photo> =>
		(await writing()).addPhoto(this.db, this.stamp(), photo, picture, thumb);
	/** Points, notes: what is known of it. @param onto the second version in which it is kept by now */
	save = async (photo: Photo, onto: string | null = null): Promise<Saved<Photo>> =>
		(await writing()).savePhoto(this.db, this.stamp(), photo, onto);
	/** With its files, where no other photograph has the same. */
	remove = async (id: string): Promise<void> => (await writing()).dropPhoto(this.db, id);
}
