// A text file that the page takes in as it is, for tests: a module that gives its text.
export default { process: (text) => ({ code: `export default ${JSON.stringify(text)}` }) }
