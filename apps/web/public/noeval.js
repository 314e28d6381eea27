// The page may not compile code from text (content security policy); this tells the validation library so.
globalThis.__zod_globalConfig = { jitless: true };
