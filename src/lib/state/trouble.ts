/** Failures of the store in plain words, for the interface. */
export { isStoreless, storageTrouble } from '../store/plainWords';
