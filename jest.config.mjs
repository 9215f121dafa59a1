import nextJest from 'next/jest.js'

export default nextJest({ dir: './' })({
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  setupFiles: ['<rootDir>/testing/seed.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^@testing/(.*)$': '<rootDir>/testing/$1' },
  // To find these through the sandbox costs tests that compute much half of their time. Left out are
  // those that fake timers replace, and names that a package gives to something of its own.
  sandboxInjectedGlobals: [
    ...['Object', 'Array', 'Set', 'WeakMap', 'WeakSet', 'Symbol', 'Reflect', 'Proxy', 'Promise'],
    ...['JSON', 'Math', 'Number', 'String', 'Boolean', 'BigInt', 'RegExp', 'Error', 'TypeError'],
    ...['Uint8Array', 'isNaN', 'parseInt'],
  ],
})
