<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

/**
 * What went with a make as specs said it before `with`: one border for mats on every panel, a lining with it, and one closure.
 *
 * Such a spec is read as if it said the same in `with`, so that every saved design and every file opens as it was.
 */
final class EarlierWith
{
    private const CLOSURES = ['dot' => 'dot', 'string' => 'string', 'tuck' => 'slit'];

    /** @return mixed the spec, with what it said brought to `with`; anything else as it is */
    public static function brought(mixed $spec): mixed
    {
        if (! is_array($spec) || (! isset($spec['border']) && ! isset($spec['closure']))) {
            return $spec;
        }
        [$border, $closure] = [$spec['border'] ?? null, $spec['closure'] ?? 'none'];
        $with = is_array($spec['with'] ?? null) ? $spec['with'] : [];
        if ($border !== null) {
            array_push($with, ['id' => 'mats', 'role' => 'mat', 'on' => '*', 'border' => $border], ['id' => 'liner', 'role' => 'liner']);
        }
        if ($closure !== 'none') {
            $with[] = ['id' => 'closure', 'role' => 'closure', 'by' => is_string($closure) ? self::CLOSURES[$closure] ?? $closure : $closure];
        }
        unset($spec['border'], $spec['closure']);

        return $with === [] ? $spec : ['with' => $with] + $spec;
    }
}
