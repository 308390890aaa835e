declare module 'fontkit' {
  /** A font, or a collection of them. Throws where the bytes are neither. */
  export function create(bytes: Uint8Array): unknown;
}
