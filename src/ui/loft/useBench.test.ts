import { benchWidth } from './useBench'

test('the bench gives way on small pages unless it is wanted, and grows with large ones', () => {
  expect([960, 1024, 1099].map((page) => benchWidth(null, page))).toEqual([0, 0, 0])
  expect([1100, 1280, 1600].map((page) => benchWidth(null, page))).toEqual([320, 320, 320])
  expect([1920, 2560, 3840].map((page) => benchWidth(null, page))).toEqual([384, 480, 480])
  expect(benchWidth(true, 960)).toBe(320)
  expect(benchWidth(false, 2560)).toBe(0)
})
