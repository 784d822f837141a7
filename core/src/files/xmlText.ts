const ENTITIES: Readonly<Record<string, string>> = { '<': '&lt;', '>': '&gt;', '&': '&amp;', '"': '&quot;' };

/** Text as it may stand in XML: control characters, which no XML holds, are left out (XML 1.0, 2.2). */
export const xmlText = (text: string): string =>
  text
    .replace(/[^\t\n\r\u0020-\ud7ff\ue000-\ufffd\u{10000}-\u{10ffff}]/gu, '')
    .replace(/[<>&"]/g, (c) => ENTITIES[c] ?? c);
