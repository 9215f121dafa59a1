import nextJest from 'next/jest.js'

export default nextJest({ dir: './' })({
  testEnvironment: 'node',
  rootDir: '..',
  roots: ['<rootDir>/torture'],
  testMatch: ['**/*.torture.ts'],
  testTimeout: 7_200_000,
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^@testing/(.*)$': '<rootDir>/testing/$1' },
})
