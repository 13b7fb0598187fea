import { z } from 'zod';

// Before any schema is made: Zod would otherwise try whether it may make functions from text, which the policy of the
// page forbids and reports.
z.config({ jitless: true });
