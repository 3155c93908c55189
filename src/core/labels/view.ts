/** A label that was not seen for so long has left the view: the camera misses one now and then. */
export const GONE_MS = 1500;

/** What the camera has in view: each label is told once, until it has left. */
export class CameraView {
  private readonly seenMs = new Map<string, number>();

  /** The codes of a look that were not in view before. */
  look(codes: readonly string[], nowMs: number): string[] {
    for (const [code, ms] of this.seenMs) if (nowMs - ms > GONE_MS) this.seenMs.delete(code);
    const come = [...new Set(codes)].filter((code) => !this.seenMs.has(code));
    for (const code of codes) this.seenMs.set(code, nowMs);
    return come;
  }
}
