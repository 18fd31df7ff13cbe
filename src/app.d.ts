declare global {
	namespace App {
		interface Error {
			message: string;
			/** Given for unexpected faults, so that the log line can be found. */
			id?: string;
		}
		interface Locals {
			theme: 'bench-day' | 'hood-down';
			units: 'metric' | 'imperial' | 'gauge';
			/** What whoever asks may do: everything, look only, or nothing yet. */
			role: 'full' | 'look' | 'none';
		}
	}
}

export {};
