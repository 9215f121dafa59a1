/** The two files that what changed since the second copy goes to, by turns. */
export const LOGS = ['since-a.log', 'since-b.log'] as const
