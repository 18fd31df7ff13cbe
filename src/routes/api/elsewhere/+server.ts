import { plan } from '$lib/core';
import { ElsewhereSchema, type AbleBench } from '$lib/formats/bodies/planned';
import { store } from '$lib/server/current';
import { requestedInputs } from '$lib/server/planning';
import { answer, readBody } from '$lib/server/respond';
import type { RequestHandler } from './$types';

/** Other benches of the shop that part this cut at full amps, the fastest first, and of those that outrun a hand the one with the fewest amps. */
export const POST: RequestHandler = ({ request }) =>
	answer(async () => {
		const { benchId, cut } = await readBody(request, ElsewhereSchema);
		const others = store()
			.benches.all()
			.filter(({ id }) => id !== benchId);
		const benches = others.flatMap(({ id, bench }): AbleBench[] => {
			const asked = { benchId: id, cut: { ...cut, school: 'full' as const } };
			const { figures } = plan(requestedInputs(store(), asked));
			const [outputA, speedMmS] = [figures['setup.currentA'].value, figures['setup.handMmS'].value];
			if (outputA === null || speedMmS === null) return [];
			return [{ id, name: bench.name, outputA, speedMmS }];
		});
		return { benches: benches.sort((x, y) => y.speedMmS - x.speedMmS || x.outputA - y.outputA) };
	});
