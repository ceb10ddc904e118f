import fc from 'fast-check';

/** Properties run from one seed, so that a failure in one place is a failure everywhere; WHELK_SEED explores others. */
fc.configureGlobal({ seed: process.env.WHELK_SEED ? Number(process.env.WHELK_SEED) : 20_260_112 });
