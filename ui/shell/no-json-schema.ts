/** In place of the part of Zod that writes JSON schemas, which the page never asks for: each schema is given its methods. */

const never = (): never => {
  throw new Error('no JSON schema is written in the page');
};

export const createToJSONSchemaMethod = () => never;
export const createStandardJSONSchemaMethod = () => never;
