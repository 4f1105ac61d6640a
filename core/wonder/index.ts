export { doubtfulRemarks, inferenceWords } from './inference'
