import { Input } from 'antd';

interface TextFieldProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** class that says how wide it is */
  width: string;
  /** an example of what is wanted */
  like?: string;
  most?: number;
}

/** A line of text with its label. */
export function TextField({ label, value, onChange, width, like, most = 120 }: TextFieldProps) {
  return (
    <label>
      {label}
      <Input
        aria-label={label}
        value={value}
        maxLength={most}
        placeholder={like}
        onChange={(e) => onChange(e.target.value)}
        className={width}
      />
    </label>
  );
}
