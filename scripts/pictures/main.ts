/**
 * Drawn pictures with known truth: `--trial 400 [--seed 1]` tells how well they are read, against the goals;
 * `--examples` draws the four that ship with the program.
 */
import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import jpeg from 'jpeg-js';
import { edgePicture } from '../../tests/pictures/edge';
import { endPicture } from '../../tests/pictures/end';
import { kerfPicture } from '../../tests/pictures/kerf';
import { nozzlePicture } from '../../tests/pictures/nozzle';
import { edgeTrial, endTrial, kerfTrial, nozzleTrial, type Line } from '../../tests/pictures/trial';

const { values: asked } = parseArgs({
	options: {
		trial: { type: 'string' },
		seed: { type: 'string', default: '1' },
		examples: { type: 'boolean', default: false }
	}
});

function print(title: string, lines: readonly Line[]) {
	console.log(`\n· ${title}`);
	for (const { what, value, goal, held } of lines)
		console.log(`  ${held ? 'holds' : 'FAILS'}  ${what}: ${value} (${goal})`);
}

if (asked.examples) {
	const nozzle = nozzlePicture(7, null, {
		faceMm: 9,
		boreMm: 1.12,
		ovalMm: 0.06,
		offsetMm: 0.05,
		nickMm: 0,
		pxPerMm: 44,
		tiltDeg: 6,
		blurPx: 1.6,
		noise: 0.008,
		quality: null,
		soot: 0.35,
		wallLight: 0.35,
		chamferMm: 0.8,
		glare: null,
		room: 1.3,
		background: 0.05,
		copper: 0.45
	});
	const edge = edgePicture(12, null, {
		thicknessMm: 10,
		lengthMm: 44,
		slope: 0.42,
		curve: 0.34,
		way: 1,
		dross: 'hard',
		pxPerMm: 24,
		turnDeg: -1.2,
		pitchDeg: 2,
		yawDeg: 3,
		blurPx: 0.9,
		noise: 0.008,
		quality: null,
		lines: 0.3,
		scratches: 4,
		rust: 0.15,
		background: 0.04,
		steel: 0.3
	});
	const end = endPicture(3, null, {
		thicknessMm: 10,
		bevelDeg: 6,
		side: 'right',
		pxPerMm: 34,
		turnDeg: 1,
		pitchDeg: 2,
		yawDeg: -2,
		blurPx: 1,
		noise: 0.008,
		quality: null,
		steel: 0.3,
		background: 0.03
	});
	const kerf = kerfPicture(5, null, {
		kerfMm: 1.7,
		leanDeg: 0.6,
		wanderMm: 0.03,
		wallMm: [0.15, 0],
		halo: 0.8,
		haloMm: 1.2,
		haloSoftMm: 1,
		spatter: 5,
		ruleAt: 'below',
		ruleLight: 0.6,
		tickLight: 0.03,
		pxPerMm: 28,
		turnDeg: -1.5,
		pitchDeg: 2,
		yawDeg: 1,
		blurPx: 1,
		noise: 0.008,
		quality: null,
		steel: 0.3
	});
	for (const [name, { picture }] of Object.entries({ nozzle, edge, end, kerf })) {
		const { width, height, rgba } = picture;
		writeFileSync(
			`static/examples/${name}.jpg`,
			jpeg.encode({ data: rgba, width, height }, 82).data
		);
		console.log(`· static/examples/${name}.jpg, ${width} × ${height}`);
	}
}
if (asked.trial) {
	const [count, seed] = [Number(asked.trial), Number(asked.seed)];
	print(`${count} nozzles from seed ${seed}`, nozzleTrial(seed, count));
	print(`${count} edges from seed ${seed}`, edgeTrial(seed, count));
	print(`${count} ends from seed ${seed}`, endTrial(seed, count));
	print(`${count} kerfs from seed ${seed}`, kerfTrial(seed, count));
}
