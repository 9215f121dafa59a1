const NUMBER = new Intl.NumberFormat()

/** “1 window”, “3,000 windows”: how many there are of something, in words. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${NUMBER.format(count)} ${count === 1 ? one : many}`
