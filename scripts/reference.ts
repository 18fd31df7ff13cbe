/** Writes docs/reference-checks.md, or prints the checks as JSON with `-- --json`. */
import { writeFileSync } from 'node:fs';
import { referenceChecks, type ReferenceCheck } from '../tests/reference/run';

const checks = referenceChecks();
const failed = checks.filter((check) => !check.holds);

function shown(value: ReferenceCheck['expected']): string {
	return typeof value === 'number' ? String(Number(value.toPrecision(6))) : String(value);
}
const cell = (text: string) => text.replaceAll('|', '\\|');

if (process.argv.includes('--json')) {
	console.log(JSON.stringify(checks, null, 1));
} else {
	const topics = [...new Set(checks.map((check) => check.topic))];
	const lines = [
		'# Reference checks',
		'',
		`Values from outside the project, compared with what the core computes: ${checks.length} checks in ${topics.length} topics, ${failed.length} failing. Written by \`npm run reference\`; \`npm test\` runs the same table.`,
		'',
		'*Computed*: worked out apart from the program by the formula named. *Table from memory*: a published table as remembered; check the edition in force before relying on it. *Common practice*: what practitioners agree on, without a published source.',
		''
	];
	for (const topic of topics) {
		lines.push(
			`## ${topic}`,
			'',
			'| check | quantity | expected | computed | tolerance | holds | kind | source |',
			'| --- | --- | --- | --- | --- | --- | --- | --- |'
		);
		for (const check of checks.filter((c) => c.topic === topic)) {
			lines.push(
				`| ${check.id.split('/')[0] ?? check.id} | ${check.quantity} (${check.unit}) | ${shown(check.expected)} | ${shown(check.computed)} | ${shown(check.tolerance)} | ${check.holds ? 'yes' : '**no**'} | ${check.kind} | ${cell(check.source)} |`
			);
		}
		lines.push('');
	}
	writeFileSync(new URL('../docs/reference-checks.md', import.meta.url), lines.join('\n'));
	console.log(`docs/reference-checks.md: ${checks.length} checks, ${failed.length} failing`);
}
if (failed.length > 0) process.exitCode = 1;
