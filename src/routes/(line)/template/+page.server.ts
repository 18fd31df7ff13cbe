import { store } from '$lib/server/current';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ outlines: store().outlines.list() });
