<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Contracts\Database\Eloquent\ComparesCastableAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * JSON in a column, changed where its text is: taking both texts apart to compare them costs more than writing one.
 *
 * @implements CastsAttributes<array<mixed>, array<mixed>>
 */
final class KeptJson implements CastsAttributes, ComparesCastableAttributes
{
    /** @return array<mixed> */
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        return is_string($value) ? (array) json_decode($value, true, 64, JSON_THROW_ON_ERROR) : [];
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR);
    }

    public function compare(Model $model, string $key, mixed $firstValue, mixed $secondValue): bool
    {
        return $firstValue === $secondValue;
    }
}
