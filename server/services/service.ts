/**
 * How a stand-in behaves, as services outside do on good days and bad: `slow` answers late, `refusing` says no,
 * `broken` ends in the middle, `lying` says one thing and is another, `bouncing` says yes and no afterwards.
 */
export type Mode = 'well' | 'slow' | 'refusing' | 'broken' | 'lying' | 'bouncing';

/** The services outside that this installation asks. */
export const SERVICES = ['pages', 'mail'] as const;
export type ServiceName = (typeof SERVICES)[number];

/** The ways each stand-in can be made to behave. */
export const MODES: Record<ServiceName, readonly Mode[]> = {
  pages: ['well', 'slow', 'refusing', 'broken', 'lying'],
  mail: ['well', 'slow', 'refusing', 'broken', 'bouncing'],
};

/** What of a service the screen says: whether a stand-in is used, and where what is asked goes. */
export interface Service {
  readonly standsIn: boolean;
  readonly where: string;
}

/** Milliseconds a slow stand-in takes. */
export const SLOW = 4000;

/** Waits, unless it is called off before. */
export const waiting = (milliseconds: number, signal?: AbortSignal): Promise<void> =>
  new Promise((go, failed) => {
    const timer = setTimeout(go, milliseconds);
    signal?.addEventListener('abort', () => {
      clearTimeout(timer);
      failed(signal.reason as Error);
    });
  });
