/** What a file is. */
export interface MediaKind {
  readonly mediaType: 'application/pdf' | 'image/png' | 'image/jpeg';
  readonly suffix: string;
}
const KINDS: readonly (readonly [begins: Buffer, kind: MediaKind])[] = [
  [Buffer.from('%PDF-'), { mediaType: 'application/pdf', suffix: 'pdf' }],
  [Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), { mediaType: 'image/png', suffix: 'png' }],
  [Buffer.from([0xff, 0xd8, 0xff]), { mediaType: 'image/jpeg', suffix: 'jpg' }],
];

/** What a file is, by how it begins; its name says nothing. Null for everything else. */
export const mediaKindOf = (bytes: Buffer): MediaKind | null =>
  KINDS.find(([begins]) => bytes.subarray(0, begins.length).equals(begins))?.[1] ?? null;
