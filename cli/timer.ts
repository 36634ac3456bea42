/** Times stages; the only thing of a run that differs from the next. */
export class Timer {
  private readonly stages = new Map<string, number>();

  /** Runs a stage and adds its time to that stage's sum. */
  async measure<T>(stage: string, run: () => Promise<T>): Promise<T> {
    const start = performance.now();
    try {
      return await run();
    } finally {
      this.stages.set(stage, (this.stages.get(stage) ?? 0) + performance.now() - start);
    }
  }

  /** Milliseconds per stage, and the largest memory of this process in megabytes. */
  report(): { milliseconds: Record<string, number>; peakMegabytes: number } {
    return {
      milliseconds: Object.fromEntries([...this.stages].map(([stage, time]) => [stage, Math.round(time)])),
      peakMegabytes: Math.round(process.resourceUsage().maxRSS / 1024),
    };
  }
}
