/** A way back within the application; null for anything else. */
export const wayBack = (back: string | null): string | null =>
  back?.startsWith('/') && !back.startsWith('//') ? back : null;
