/** A place in a text, cut to a line. */
export interface Passage {
  before: string
  match: string
  after: string
}
