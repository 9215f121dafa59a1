import nextJest from 'next/jest.js'

export default nextJest({ dir: './' })({
  testEnvironment: 'node',
  roots: ['<rootDir>/src'],
  setupFiles: ['<rootDir>/src/core/testing/seed.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
})
