/**
 * How programs of the server are built, each as a file of its own, with those that it starts as a process beside it.
 * @param programs by the name of the file, where its source is
 */
export const serverBuild = (programs: Readonly<Record<string, string>>) => ({
  target: 'node20',
  emptyOutDir: true,
  rollupOptions: {
    input: { ...programs, 'clean-pdf': 'server/attachments/clean-pdf.ts' },
    output: { entryFileNames: '[name].js' },
  },
});
