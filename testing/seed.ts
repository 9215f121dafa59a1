import fc from 'fast-check'

// The tests that go with every change try the same cases each time, so that a failure is the
// change's; other cases are found by the torture, or by SEED=… for one run.
fc.configureGlobal({ seed: Number(process.env.SEED ?? 4242) })
