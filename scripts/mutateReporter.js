/** For `mutate.ts`, whose tool loads it by path, in processes of its own too: tells what lived as soon as it did. */
class Lived {
	/** Changes that no test noticed, or that no test covers. */
	onMutantTested({ status, fileName, location, mutatorName, replacement }) {
		if (status !== 'Survived' && status !== 'NoCoverage') return;
		const { line, column } = location.start;
		const by = (replacement ?? '').replace(/\s+/g, ' ').slice(0, 100);
		console.log(`${status}  ${fileName}:${line}:${column}  ${mutatorName}: ${by}`);
	}
}
export const strykerPlugins = [{ kind: 'Reporter', name: 'lived', injectableClass: Lived }];
