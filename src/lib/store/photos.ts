import type { Binary } from '../core/records/binary';
import type { Photo } from '../core/records/photo';
import { hashOfBytes } from '../core/records/snapshot';
import { tableOf, type SoftTideDb } from './db';
import { removeRecord } from './removeRecord';
import { saveRecord, type Saved, type Stamp } from './saveRecord';

/** A picture as it is stored. */
export interface PictureFile {
	readonly type: string;
	readonly bytes: Uint8Array<ArrayBuffer>;
}
export type NewPhoto = Omit<Photo, 'id' | 'revision' | 'updatedAt' | 'fileId' | 'thumbId'>;

/** Photographs and their files: both go together, and in one transaction. */
export class Photos {
	constructor(
		private readonly db: SoftTideDb,
		private readonly stamp: () => Stamp
	) {}

	/** Of a client, the earliest first. */
	of = async (clientId: string): Promise<Photo[]> =>
		(await tableOf(this.db, 'photo').where('clientId').equals(clientId).toArray()).sort(
			(a, b) => a.takenAt.localeCompare(b.takenAt) || a.id.localeCompare(b.id)
		);
	/** Of everybody: retakes tell how exactly the practitioner measures, whoever sat before her. */
	all = (): Promise<Photo[]> => tableOf(this.db, 'photo').toArray();
	get = (id: string): Promise<Photo | undefined> => tableOf(this.db, 'photo').get(id);
	file = (id: string): Promise<Binary | undefined> => tableOf(this.db, 'binary').get(id);

	/** Keeps a photograph with its picture and a small one of it. @throws whatever the database throws; nothing is stored then */
	async add(photo: NewPhoto, picture: PictureFile, thumb: PictureFile): Promise<Photo> {
		const { now: updatedAt, newId } = this.stamp();
		const binaries = [picture, thumb].map(({ type, bytes }): Binary => ({
			id: hashOfBytes(bytes),
			revision: 1,
			updatedAt,
			clientId: photo.clientId,
			type,
			bytes
		}));
		const [file, small] = binaries as [Binary, Binary];
		return this.db.transaction('rw', this.db.tables, async () => {
			await tableOf(this.db, 'binary').bulkPut(binaries);
			const draft = { ...photo, id: newId(), revision: 0, updatedAt, fileId: file.id, thumbId: small.id };
			return (await saveRecord(this.db, 'photo', draft, this.stamp())).record;
		});
	}
	/** Points, notes: what is known of it. */
	save = (photo: Photo): Promise<Saved<Photo>> =>
		this.db.transaction('rw', this.db.tables, () => saveRecord(this.db, 'photo', photo, this.stamp()));
	/** With its files, where no other photograph has the same. */
	remove = async (id: string): Promise<void> => void (await removeRecord(this.db, 'photo', id));
}
