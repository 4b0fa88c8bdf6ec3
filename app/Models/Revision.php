<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\KeptJson;
use Illuminate\Database\Eloquent\Model;

/**
 * One state of a design that undo and redo can go to.
 *
 * @property int $id
 * @property string $design_id
 * @property int $number
 * @property array<string, mixed> $document
 * @property string $made_at ISO 8601, UTC; empty for those made before it was noted
 * @property ?string $change_id what made it; other designs that were changed with it have it too
 */
final class Revision extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['document' => KeptJson::class, 'number' => 'integer'];
}
