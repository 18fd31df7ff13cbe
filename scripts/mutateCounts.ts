/**
 * Before each file of `mutate.ts`: its tool counts which test comes by which change, and how often. It takes
 * the counts of every file for that file's own; where files share their modules they would be counted on.
 */
const { __stryker__: tool } = globalThis as {
	__stryker__?: { mutantCoverage?: { static: object; perTest: object } };
};
// Emptied, not replaced: the modules hold it.
if (tool?.mutantCoverage) Object.assign(tool.mutantCoverage, { static: {}, perTest: {} });

export {};
