import { DEFAULT_CUT } from '$lib/core';
import { LIST_BENCHES_MOST, RunRequestSchema } from '$lib/formats/bodies/work';
import { store } from '$lib/server/current';
import { heavily } from '$lib/server/heavy/pool';
import type { BenchesJob } from '$lib/server/heavy/work';
import { requestedInputs } from '$lib/server/planning';
import { answer, answered, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** The same list on the shop's other benches, and split over two where that is done sooner. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const { benchId, list } = await readBody(request, RunRequestSchema);
		const baseOf = (id: string) => requestedInputs(store(), { benchId: id, cut: DEFAULT_CUT });
		const job: BenchesJob = {
			base: baseOf(benchId),
			list,
			others: store()
				.benches.all()
				.filter(({ id }) => id !== benchId)
				.slice(0, LIST_BENCHES_MOST)
				.map(({ id, bench }) => ({ id, name: bench.name, base: baseOf(id) }))
		};
		const body = new TextEncoder().encode(JSON.stringify(job));
		return answered(await heavily('benches', body.buffer));
	});
