<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One state of a design that undo and redo can go to.
 *
 * @property int $id
 * @property string $design_id
 * @property int $number
 * @property array<string, mixed> $document
 * @property ?string $gesture
 * @property Carbon $created_at
 */
final class Revision extends Model
{
    public const UPDATED_AT = null;

    protected $guarded = [];

    protected $casts = ['document' => 'array', 'number' => 'integer'];
}
