/** The work of the server's threads, as one file beside the built server. */
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('src/lib', import.meta.url)) } },
	build: {
		ssr: 'src/lib/server/heavy/work.ts',
		outDir: 'build',
		emptyOutDir: false,
		copyPublicDir: false,
		rolldownOptions: { output: { entryFileNames: 'heavy.js' } }
	},
	ssr: { noExternal: true, external: ['pdfkit'] }
});
