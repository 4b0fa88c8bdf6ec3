<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What is to be cut of which designs. How it is cut follows from that, the drawer and what is cut already.
 *
 * @property string $id
 * @property string $name
 * @property array<string, mixed> $asked as Planning\Asked reads it
 * @property ?array{basis: string, laid: mixed} $found how it is laid, and of which basis; CutPlan\Found reads it
 * @property ?array<string, int> $hand how many cuts are made of the sheets somebody has in hand, by a mark of the sheet and how it is cut
 * @property string $made_at ISO 8601, UTC
 */
final class CuttingPlan extends Model
{
    use HasUuids;

    protected $table = 'plans';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['asked' => 'array', 'found' => 'array', 'hand' => 'array'];

    /** @return HasMany<CutSheet, $this> */
    public function cuts(): HasMany
    {
        return $this->hasMany(CutSheet::class, 'plan_id')->orderBy('id');
    }
}
