<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A sheet that was cut by a plan.
 *
 * @property int $id
 * @property string $plan_id
 * @property string $paper id of its entry in the drawer
 * @property array<string, mixed> $sheet its size and its tree
 * @property array<string, int> $pieces how many came out of it, by the plan's ids
 * @property string $before what there was of the paper, JSON
 * @property string $after what there was of it then
 * @property ?array{basis: string, laid: mixed} $found how the plan was laid before
 * @property bool $is_missed whether a cut of it was set wrong
 * @property string $cut_at ISO 8601, UTC
 */
final class CutSheet extends Model
{
    protected $table = 'sheet_cuts';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['sheet' => 'array', 'pieces' => 'array', 'found' => 'array', 'is_missed' => 'boolean'];
}
