import { z } from 'zod';

// The page may not compile code from text (content security policy), so Zod must not try to.
z.config({ jitless: true });
