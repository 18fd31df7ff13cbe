/** For its effect alone: whoever imports this, by name or when it is needed, can plan from then on. */
import { inputsHash, plan } from '$lib/core/plan/plan';
import { plansWith } from './planner.svelte';

plansWith({ plan, inputsHash });
