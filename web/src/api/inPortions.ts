// Many things at once, as many as the server takes in one request.
import { MOST_AT_ONCE } from '@valise/core/evidence'

/** Does something with many things, in portions that the server takes. */
export async function inPortions(
  ids: readonly string[],
  act: (some: readonly string[]) => Promise<unknown>,
): Promise<void> {
  for (let at = 0; at < ids.length; at += MOST_AT_ONCE) await act(ids.slice(at, at + MOST_AT_ONCE))
}
