export declare const BROWSERS: readonly string[];
export declare const browserPath: () => string | undefined;
