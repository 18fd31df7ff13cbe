// What is not sent is planned here.
import '../../src/lib/state/plansHere';

export { UNTOUCHED } from './untouched';
