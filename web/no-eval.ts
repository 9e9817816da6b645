// The content policy forbids code made from text, which zod would otherwise try for speed. It is configured before it is fetched:
// the first view does without it.
Object.assign(globalThis, { __zod_globalConfig: { jitless: true } });

export {};
