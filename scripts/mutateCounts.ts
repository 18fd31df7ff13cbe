/**
 * Before each file of `mutate.ts`, beside what `vitest.mutate.config.ts` writes into the sources: tells them
 * which change is active, and takes what was counted to the test that it belongs to, or to none. The tool
 * takes the counts of a file for all that it came by, so they begin anew with each.
 */
import { afterEach, beforeAll, beforeEach } from 'vitest';

type Counts = Record<number, number>;
interface Tool {
	mutantCoverage?: { static: Counts; perTest: Record<string, Counts> };
	currentTestId?: string;
	counts?: Float64Array;
	told?: (() => void)[];
}
const tool = ((globalThis as { __stryker__?: Tool }).__stryker__ ??= {});
// Sources are read once a run, not once a file; those of the file before have their counts.
tool.counts?.fill(0);
tool.mutantCoverage = { static: {}, perTest: {} };

function take(): void {
	const { counts, mutantCoverage, currentTestId: id } = tool;
	if (!counts || !mutantCoverage) return;
	const to = id === undefined ? mutantCoverage.static : (mutantCoverage.perTest[id] ??= {});
	for (let at = 0; at < counts.length; at++)
		if (counts[at]! > 0) to[at] = (to[at] ?? 0) + counts[at]!;
	counts.fill(0);
}
beforeAll(() => {
	for (const tell of tool.told ?? []) tell();
});
// The tool names the test in a hook of its own before this one, and forgets it after.
beforeEach(() => {
	const { currentTestId } = tool;
	tool.currentTestId = undefined;
	take();
	tool.currentTestId = currentTestId;
});
afterEach(take);
