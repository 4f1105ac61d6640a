/** The reference reader of data packages says nothing of its types: the little that we ask of it. */
declare module 'tableschema' {
  export class Schema {
    constructor(descriptor: object)
    castRow(row: string[]): unknown[]
  }
}
