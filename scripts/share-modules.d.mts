/** A module that a script defines: its number, those that it asks for at once, and its text. */
export interface ScriptModule {
  id: number;
  asks: number[];
  text: string;
}

export interface SharingPlan {
  first: ScriptModule[];
  copies: Map<string, ScriptModule[]>;
  shared: { names: string[]; modules: ScriptModule[] }[];
}

export function planOf(
  common: readonly ScriptModule[],
  parts: readonly (readonly [name: string, modules: readonly ScriptModule[]])[],
  entry: string,
): SharingPlan;

export function shareModules(dist: string): Promise<Map<string, string[]>>;
