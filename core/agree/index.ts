export { doubtsOfConclusion } from './claims'
export type { ClaimDoubt } from './claims'
