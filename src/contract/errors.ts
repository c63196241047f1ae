/** One kind of refusal: its HTTP status, what to say, and what the person can do. */
export interface ErrorEntry {
  readonly status: number;
  readonly message: string;
  readonly todo: string;
}

/** Every error that the server answers with. Documented in docs/format.md; a test keeps the two together. */
export const ERRORS = {
  'bad-request': {
    status: 400,
    message: 'The request could not be read.',
    todo: 'Send JSON of the shape that docs/format.md describes.',
  },
  'bad-target': {
    status: 422,
    message: 'The design has figures that cannot be developed.',
    todo: 'Change the figures that are named.',
  },
  'bad-record': {
    status: 422,
    message: 'Some of the figures cannot be kept.',
    todo: 'Change the figures that are named.',
  },
  'sign-in-needed': { status: 401, message: 'This table asks for its passphrase.', todo: 'Sign in first.' },
  'wrong-passphrase': {
    status: 401,
    message: 'That is not the passphrase of this table.',
    todo: 'Try again, or ask whoever started the server.',
  },
  'wrong-host': {
    status: 403,
    message: 'The request came from another site.',
    todo: 'Open the address that the server printed.',
  },
  'not-found': { status: 404, message: 'There is nothing at this address.', todo: 'Go back to the shelf.' },
  'design-not-found': {
    status: 404,
    message: 'This piece is not on the shelf.',
    todo: 'It may have been taken off; look for it on the shelf.',
  },
  'revision-not-found': {
    status: 404,
    message: 'This piece has no such revision.',
    todo: 'Choose one from its history.',
  },
  'making-not-found': {
    status: 404,
    message: 'This making is not here any more.',
    todo: 'It may have been taken away; begin it again at its piece.',
  },
  'bad-photograph': {
    status: 422,
    message: 'This picture cannot be read.',
    todo: 'Choose a JPEG, PNG or WebP file.',
  },
  'bad-archive': {
    status: 422,
    message: 'This archive cannot be taken; nothing was changed.',
    todo: 'Choose a file that Fawn Table made, whole and unchanged.',
  },
  'archive-not-found': {
    status: 404,
    message: 'This archive is no longer held.',
    todo: 'Open its file once more.',
  },
  'record-not-found': {
    status: 404,
    message: 'This is not in the book any more.',
    todo: 'It may have been taken away; look for it in the list.',
  },
  'record-conflict': {
    status: 409,
    message: 'This was changed elsewhere in the meantime.',
    todo: 'Fetch it again and make your change once more.',
  },
  conflict: {
    status: 409,
    message: 'The design was changed elsewhere in the meantime.',
    todo: 'Keep yours on top, or keep yours as a copy; both stay in the history.',
  },
  'too-large': { status: 413, message: 'The request is too large.', todo: 'Send one design at a time.' },
  'too-many-tries': {
    status: 429,
    message: 'Too many tries.',
    todo: 'Wait a few minutes before trying the passphrase again.',
  },
  'too-slow': {
    status: 422,
    message: 'This takes longer to work out than the table allows.',
    todo: 'Make it simpler: fewer points, fewer darts, smaller sizes.',
  },
  busy: {
    status: 503,
    message: 'The table is working on too many things at once.',
    todo: 'Try again in a moment.',
  },
  'bad-range': { status: 416, message: 'The file has no such part.', todo: 'Ask for the whole file.' },
  'disk-full': {
    status: 507,
    message: 'There is no room left on the disk, so nothing was kept.',
    todo: 'Free some room, then keep it again. What was kept before is safe.',
  },
  'read-only': {
    status: 507,
    message: 'The data folder cannot be written to, so nothing was kept.',
    todo: 'Allow the server to write to its data folder, then keep it again.',
  },
  internal: {
    status: 500,
    message: 'Something went wrong on the server.',
    todo: 'Try again; the log says more. What was kept before is safe.',
  },
} as const satisfies Record<string, ErrorEntry>;

/** Code of a refusal. */
export type ErrorCode = keyof typeof ERRORS;
