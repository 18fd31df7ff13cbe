/** Reading what people type: a face of its own, which loads with the first thing typed. */
export { DomainError } from './errors';
export { parseQuantity } from './parse';
