/** Where nothing was built (tests, development): the same work, from its source. */
import { register } from 'tsx/esm/api';

register();
const { default: work } = await import('./work.ts');
export default work;
