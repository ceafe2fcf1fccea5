/** Stands for packages that others would load for what this program never asks of them. */
export default undefined
