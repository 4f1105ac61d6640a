/** A cell that a spreadsheet would take for a formula gets an apostrophe in front, and loses it on the way back. */
export const FORMULA = /^[=+@\t\r]/
export const GUARDED = /^'(?=[=+@\t\r])/
