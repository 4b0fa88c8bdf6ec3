<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A state of a design that was given a name.
 *
 * @property string $id
 * @property string $design_id
 * @property string $name
 * @property array<string, mixed> $document
 * @property string $made_at ISO 8601, UTC
 */
final class NamedPoint extends Model
{
    use HasUuids;

    protected $table = 'points';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['document' => 'array'];
}
