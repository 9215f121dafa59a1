import { inWeek, weekBegins } from './week'

test('a week begins as people of a language count', () => {
  expect(['de-DE', 'en-GB', 'en-US', 'ar-EG'].map(weekBegins)).toEqual([1, 1, 0, 6])
  expect(inWeek([0, 6, 2, 1])).toEqual([1, 2, 6, 0])
})
