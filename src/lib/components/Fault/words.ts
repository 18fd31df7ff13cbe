/** A share of belief as it is said. */
export function shareWord(share: number): string {
	if (share >= 0.9) return 'nearly sure';
	if (share >= 0.4) return 'likely';
	if (share >= 0.1) return 'maybe';
	return 'hardly';
}
