import Joi from 'joi';

/** The format's name and version, and its files. */
export const ARCHIVE_FORMAT = 'fawn-table-archive';
/** Version of the archive that is written, and the newest that is read. */
export const ARCHIVE_VERSION = 1;

/** Name of the manifest in an archive. */
export const MANIFEST = 'manifest.json';

/** Limits of an archive: files, bytes of a JSON file, of a photograph, and in all. */
export const ARCHIVE_LIMITS = { files: 200_000, json: 256e6, photograph: 40e6, all: 8e9, manifest: 64e6 } as const;

/** The files of an archive; nothing else is read. */
export const ARCHIVE_FILES = {
  mesh: /^meshes\/([0-9a-f]{64})\.json$/,
  design: /^designs\/([0-9a-f-]{36})\.json$/,
  record: /^records\/([a-z-]{1,40})\/([0-9a-f-]{36})\.json$/,
  making: /^makings\/([0-9a-f-]{36})\.json$/,
  photograph: /^photographs\/([0-9a-f]{64})(-small)?\.jpg$/,
} as const;

/** A kind of file in an archive. */
export type ArchiveKind = keyof typeof ARCHIVE_FILES;

/** The kind of a file by its name; null for a file that does not belong in an archive. */
export function kindOf(name: string): ArchiveKind | null {
  const found = Object.entries(ARCHIVE_FILES).find(([, pattern]) => pattern.test(name));
  return found ? (found[0] as ArchiveKind) : null;
}

/** The manifest: each file with its size (bytes) and its SHA-256. */
export interface Manifest {
  readonly format: typeof ARCHIVE_FORMAT;
  readonly version: number;
  readonly madeAt: string;
  /** Step of the database that the rows are of. */
  readonly step: string;
  readonly counts: Readonly<Record<string, number>>;
  readonly files: readonly { readonly name: string; readonly bytes: number; readonly sha256: string }[];
}

/** The shape of a manifest. */
export const manifestSchema = Joi.object<Manifest>({
  format: Joi.string().valid(ARCHIVE_FORMAT).required(),
  version: Joi.number().strict().valid(ARCHIVE_VERSION).required(),
  madeAt: Joi.string().isoDate().required(),
  step: Joi.string().max(80).required(),
  counts: Joi.object().pattern(Joi.string(), Joi.number().integer().min(0)).required(),
  files: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().max(200).required(),
        bytes: Joi.number().strict().integer().min(0).required(),
        sha256: Joi.string().hex().length(64).required(),
      }),
    )
    .max(ARCHIVE_LIMITS.files)
    .required(),
}).required();

/** A fault of an archive, shown to the user: nothing of it was imported. */
export class BadArchive extends Error {}
