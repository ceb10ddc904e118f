import { type ComponentType, useMemo } from 'react';

/**
 * An island whose properties come as one JSON text. Large plain data goes to the page far cheaper so than property by
 * property.
 */
export function fromJson<P extends object>(Component: ComponentType<P>): ComponentType<{ json: string }> {
  return function FromJson({ json }) {
    const props = useMemo(() => JSON.parse(json) as P, [json]);
    return <Component {...props} />;
  };
}
