/** Injection token of the server's settings. */
export const SETTINGS = Symbol('settings');
