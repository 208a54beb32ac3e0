/** Injection token of the server's configuration. */
export const CONFIG = Symbol('server configuration');
