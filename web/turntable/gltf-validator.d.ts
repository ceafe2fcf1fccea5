declare module 'gltf-validator' {
  export function validateBytes(
    data: Uint8Array,
    options?: { maxIssues?: number },
  ): Promise<{
    issues: {
      numErrors: number
      numWarnings: number
      messages: { severity: number; code: string; message: string; pointer?: string }[]
    }
  }>
}
