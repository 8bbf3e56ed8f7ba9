/** Failures of the store in plain words, for the interface. */
export { isStoreless, namesOfDamaged, storageTrouble } from '../store/plainWords';
