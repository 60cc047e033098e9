import type { z } from 'zod';

type Node = {
  readonly type?: string;
  readonly properties?: Readonly<Record<string, Node>>;
  readonly required?: readonly string[];
  readonly items?: Node;
  readonly prefixItems?: readonly Node[];
  readonly anyOf?: readonly Node[];
  readonly oneOf?: readonly Node[];
  readonly allOf?: readonly Node[];
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly default?: unknown;
  readonly additionalProperties?: Node | boolean;
  readonly $ref?: string;
  readonly $defs?: Readonly<Record<string, Node>>;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly pattern?: string;
  readonly format?: string;
};

/** The largest whole number that is exact: no bound that anybody chose. */
const UNBOUND = Number.MAX_SAFE_INTEGER;
const WIDTH = 120;

const bound = (least: number | undefined, most: number | undefined): string => {
  const [low, high] = [least !== undefined && least > -UNBOUND, most !== undefined && most < UNBOUND];
  if (!low && !high) return '';
  return ` ${low ? least : ''}..${high ? most : ''}`;
};

const numberText = ({ type, minimum, maximum, exclusiveMinimum, exclusiveMaximum }: Node): string => {
  const above = exclusiveMinimum !== undefined && exclusiveMinimum > -UNBOUND ? ` above ${exclusiveMinimum}` : '';
  const below = exclusiveMaximum !== undefined && exclusiveMaximum < UNBOUND ? ` below ${exclusiveMaximum}` : '';
  return `${type === 'integer' ? 'int' : 'number'}${bound(minimum, maximum)}${above}${below}`;
};

const stringText = ({ minLength, maxLength, pattern, format }: Node): string =>
  `text${bound(minLength, maxLength)}${format ? ` ${format}` : ''}${pattern && !format ? ` /${pattern}/` : ''}`;

const inLines = (indent: string, list: readonly string[], [open, close]: readonly [string, string]): string => {
  const line = `${open} ${list.join(', ')} ${close}`;
  if (line.length + indent.length <= WIDTH && !line.includes('\n')) return list.length === 0 ? open + close : line;
  return `${open}\n${list.map((each) => `${indent}  ${each}`).join('\n')}\n${indent}${close}`;
};

function text(node: Node, indent: string): string {
  if (node.$ref) return node.$ref.replace('#/$defs/', '').replace(/^#$/, 'itself');
  if (node.const !== undefined) return JSON.stringify(node.const);
  if (node.enum) return node.enum.map((each) => JSON.stringify(each)).join(' | ');
  const choices = node.anyOf ?? node.oneOf;
  if (choices) return choices.map((each) => text(each, indent)).join(' | ');
  if (node.allOf) return node.allOf.map((each) => text(each, indent)).join(' & ');
  switch (node.type) {
    case 'object': {
      const fields = Object.entries(node.properties ?? {}).map(
        ([name, field]) =>
          `${name}${node.required?.includes(name) ? '' : '?'}: ${text(field, `${indent}  `)}${field.default === undefined ? '' : ` = ${JSON.stringify(field.default)}`}`,
      );
      const others = typeof node.additionalProperties === 'object' ? [`[name]: ${text(node.additionalProperties, `${indent}  `)}`] : [];
      return inLines(indent, [...fields, ...others], ['{', '}']);
    }
    case 'array': {
      const size = bound(node.minItems, node.maxItems);
      if (node.prefixItems) return `[${node.prefixItems.map((each) => text(each, indent)).join(', ')}]`;
      return `${node.items ? text(node.items, indent) : 'any'}[]${size}`;
    }
    case 'integer':
    case 'number':
      return numberText(node);
    case 'string':
      return stringText(node);
    default:
      return node.type ?? 'any';
  }
}

/**
 * A JSON schema as a person reads it: fields with `?` where they may be left out and `=` where that means something and bounds as
 * `least..most`. What is registered under an id is named by it.
 */
export function contractText(schema: z.core.JSONSchema.BaseSchema): string {
  const node = schema as Node;
  return text(node, '');
}
