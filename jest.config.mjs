import nextJest from 'next/jest.js'

export default nextJest({ dir: './' })({
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  setupFiles: ['<rootDir>/src/core/testing/seed.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  // Found as globals of a sandbox they cost what reckons much half of its time. Not those that fake
  // timers replace, nor any name that a package gives to something of its own.
  sandboxInjectedGlobals: [
    ...['Object', 'Array', 'Set', 'WeakMap', 'WeakSet', 'Symbol', 'Reflect', 'Proxy', 'Promise'],
    ...['JSON', 'Math', 'Number', 'String', 'Boolean', 'BigInt', 'RegExp', 'Error', 'TypeError'],
    ...['Uint8Array', 'isNaN', 'parseInt'],
  ],
})
