export declare const CHROMIUM: { readonly executablePath: string; readonly args: string[] }
