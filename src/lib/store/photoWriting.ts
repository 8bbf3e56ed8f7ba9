import type { Binary } from '../core/records/binary';
import type { Photo } from '../core/records/photo';
import { hashOfBytes } from '../core/records/hash';
import { tableOf, type SoftTideDb } from './db';
import type { NewPhoto, PictureFile } from './photos';
import type { Stamp } from './reading';
import { removeRecord } from './removeRecord';
import { saveRecord, type Saved } from './saveRecord';

export async function addPhoto(
	db: SoftTideDb,
	stamp: Stamp,
	photo: NewPhoto,
	picture: PictureFile,
	thumb: PictureFile
): Promise<Photo> {
	const { now: updatedAt, newId } = stamp;
	const binaries = [picture, thumb].map(({ type, bytes }): Binary => ({
		id: hashOfBytes(bytes),
		revision: 1,
		updatedAt,
		clientId: photo.clientId,
		type,
		bytes
	}));
	const [file, small] = binaries as [Binary, Binary];
	return db.transaction('rw', db.tables, async () => {
		await tableOf(db, 'binary').bulkPut(binaries);
		const draft = { ...photo, id: newId(), revision: 0, updatedAt, fileId: file.id, thumbId: small.id };
		return (await saveRecord(db, 'photo', draft, stamp)).record;
	});
}

export const savePhoto = (db: SoftTideDb, stamp: Stamp, photo: Photo, onto: string | null): Promise<Saved<Photo>> =>
	db.transaction('rw', db.tables, () => saveRecord(db, 'photo', photo, stamp, onto));

export const dropPhoto = async (db: SoftTideDb, id: string): Promise<void> =>
	void (await removeRecord(db, 'photo', id));
