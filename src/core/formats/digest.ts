/** SHA-256 of bytes as lower-case hex; handed in, since it differs by house (browser or Node). */
export type Digest = (bytes: Uint8Array<ArrayBuffer>) => Promise<string>;
