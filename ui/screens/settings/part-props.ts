/** What a part of the settings is given: a file of past orders takes the page while it is looked at. */
export interface PartProps {
  onFile: (file: File) => void;
}
