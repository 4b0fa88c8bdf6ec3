<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * An edit that has been done, so that the same one sent again is not.
 *
 * @property string $id
 * @property string $design_id
 * @property string $applied_at ISO 8601, UTC
 */
final class AppliedEdit extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];
}
