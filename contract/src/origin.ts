/**
 * Names this computer has for itself; any port, since a proxy for development, or for several books, stands before ours.
 * Every browser has names that end in `.localhost` lead to the computer itself (RFC 6761).
 */
const LOOPBACK = /^((?:[a-z\d-]{1,63}\.){0,3}localhost|127(\.\d{1,3}){3}|\[::1\])(:\d{1,5})?$/i;

/**
 * Whether a request was meant for this server. A page elsewhere whose name was pointed at this computer (rebinding)
 * still asks for its own name.
 */
export const isOurHost = (host: string | undefined): boolean => host !== undefined && LOOPBACK.test(host);

/**
 * Whether a request comes from our own pages, or from no page at all. Browsers say where a page came from with every
 * request that may write, and a page cannot unsay it; the same computer on another port is another page.
 */
export function isOwnPage(origin: string | undefined, host: string | undefined): boolean {
  if (origin === undefined) return true;
  return host !== undefined && /^https?:\/\/(.+)$/i.exec(origin)?.[1]?.toLowerCase() === host.toLowerCase();
}

/** Whether a content type is `application/json` itself: near misses are sent by pages elsewhere without being asked. */
export const isPlainJson = (type: string | undefined): boolean =>
  type !== undefined && /^application\/json\s*(;\s*charset=utf-?8\s*)?$/i.test(type.trim());
