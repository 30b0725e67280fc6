/** A job file's JSON before it is validated: nothing about its shape is certain yet. */
export type Json = Record<string, unknown>;

const isRecord = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Changes the entries of a table where there is one; what has another shape is left to the validation. */
function each(owner: Json, table: string, change: (item: Json) => Json): Json {
  const found = owner[table];
  if (!isRecord(found) || !isRecord(found['byId'])) return owner;
  const byId = Object.fromEntries(
    Object.entries(found['byId']).map(([id, item]) => [id, isRecord(item) ? change(item) : item]),
  );
  return { ...owner, [table]: { ...found, byId } };
}

/** 2: curved walls, stairs, several peaks; shaped openings with their pieces; girths; parts of a room. */
function toVersion2(job: Json): Json {
  const wall = ({ peak, ...rest }: Json): Json => ({ ...rest, peaks: peak ? [peak] : [], bow: null, foot: null });
  const opening = (o: Json): Json => ({
    ...o,
    shape: 'rectangle',
    rise: null,
    girth: null,
    back: null,
    reveal: null,
    faces: 1,
    panels: o['kind'] === 'door' ? { rows: 2, columns: 1 } : { rows: 1, columns: 1 },
    frame: null,
    sash: 'none',
    board: null,
    apron: null,
  });
  const room = (r: Json): Json => {
    const trim = isRecord(r['trim'])
      ? Object.fromEntries(
          Object.entries(r['trim']).map(([kind, run]) => [kind, isRecord(run) ? { ...run, girth: null } : run]),
        )
      : r['trim'];
    return { ...each(each(r, 'walls', wall), 'openings', opening), trim, parts: { byId: {}, order: [] } };
  };
  const settings = isRecord(job['settings']) ? { ...job['settings'] } : job['settings'];
  // replaced by the stiles and mouldings a panelled leaf is made of
  if (isRecord(settings)) Reflect.deleteProperty(settings, 'door.panelFactor');
  return { ...each(job, 'rooms', room), settings, noted: {}, version: 2 };
}

/** Pure n -> n+1 on unvalidated JSON; the key is the version it starts from. */
const MIGRATIONS: Readonly<Record<number, (json: Json) => Json>> = { 1: toVersion2 };

export const JOB_VERSION = 2;

/** From whatever version it says, through every step to the one in force. */
export function migrate(json: Json): Json {
  let job = json;
  for (let from = Number(job['version']); from >= 1 && from < JOB_VERSION; from++) job = MIGRATIONS[from]?.(job) ?? job;
  return job;
}
