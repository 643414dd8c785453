export declare const changedFiles: () => string[];
export declare const browserTestsFor: (files: readonly string[]) => string[] | null;
