import type { Database } from './db.ts';
import { freshId } from './ids.ts';

/**
 * A copy of all jobs and logs outside the database: a browser that finds its database damaged throws it away, with all backups in it. Each
 * database has a file of its own in the browser's file system (OPFS), named by what that database was called when it was made; a file of
 * another name is what is left of one that was lost.
 */
const FOLDER = 'copies';
const LIFE = 'life';

const lifeOf = (db: Database): Promise<string> =>
  db.transaction('rw', db.kept, async () => {
    const known = await db.kept.get(LIFE);
    const life = String(known?.value ?? freshId());
    if (!known) await db.kept.put({ key: LIFE, value: life });
    return life;
  });
const nameOf = (life: string): string => `${life}.kovelin.zip`;

/** null: this browser has no files of its own, or none in a private window. */
async function folder(): Promise<FileSystemDirectoryHandle | null> {
  if (!('FileSystemFileHandle' in window) || !('createWritable' in FileSystemFileHandle.prototype)) return null;
  try {
    const root = await navigator.storage.getDirectory();
    return await root.getDirectoryHandle(FOLDER, { create: true });
  } catch (error) {
    if (error instanceof DOMException && error.name === 'SecurityError') return null;
    throw error;
  }
}

/** Puts a copy in the place of the last one: whole, or not at all. */
export async function keepCopy(db: Database, file: Blob): Promise<void> {
  const into = await (await folder())?.getFileHandle(nameOf(await lifeOf(db)), { create: true });
  const writing = await into?.createWritable();
  await writing?.write(file);
  await writing?.close();
}

/** Copies of databases that are no more, the newest first. */
export async function lostCopies(db: Database): Promise<File[]> {
  const own = nameOf(await lifeOf(db));
  const files: File[] = [];
  for await (const handle of (await folder())?.values() ?? [])
    if (handle instanceof FileSystemFileHandle && handle.name !== own) files.push(await handle.getFile());
  return files.filter(({ size }) => size > 0).sort((a, b) => b.lastModified - a.lastModified);
}
export const forgetCopy = async (name: string): Promise<void> => (await folder())?.removeEntry(name);
