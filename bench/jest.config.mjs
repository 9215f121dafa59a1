import base from '../jest.config.mjs'

export default async () => ({
  ...(await base()),
  rootDir: '..',
  roots: ['<rootDir>/bench'],
  testMatch: ['**/core.bench.ts'],
})
