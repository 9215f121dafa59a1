/** Why a formula comes to nothing, in words that follow a colon. */
export class FormulaProblem extends Error {}
