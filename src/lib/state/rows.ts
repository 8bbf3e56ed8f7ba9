/** What was read of the records, for the interface, which does not know the store. */
export { ifHere, together, type Read, type Rows } from '../store/rows';
