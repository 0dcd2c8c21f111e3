import 'fake-indexeddb/auto';
import fc from 'fast-check';

/** The same random scenes in every run; `SEED=…` tries others. */
fc.configureGlobal({ seed: Number(process.env['SEED'] ?? 20260923) });
