import type { Target } from '../core/target/target.ts';
import { listsOf } from './workers/blankWork.ts';

/**
 * The body of a request as JSON. The lists of an imported mould are inserted as the worker wrote them: to write them again
 * at every change would block the page.
 */
export function jsonBody(body: object): string | Blob {
  const { target, ...rest } = body as { target?: Target };
  if (target?.form?.kind !== 'mesh') return JSON.stringify(body);
  const lists = listsOf(target.form);
  if (!lists) return JSON.stringify(body);
  const { form, ...others } = target;
  const bare = { ...form, vertices: undefined, triangles: undefined };
  const open = (value: object) => JSON.stringify(value).slice(0, -1);
  // Each of the three has at least one key.
  const more = Object.keys(rest).length > 0 ? `,${JSON.stringify(rest).slice(1)}` : '}';
  return new Blob([`{"target":${open(others)},"form":${open(bare)},`, lists, `}}${more}`]);
}
