<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Schema;

/**
 * Who may log in can be locked; a password somebody else has given is changed at the first login; the demo's are
 * known.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->dateTime('locked_at')->nullable();
            $table->boolean('must_change')->default(false); // the password was given by somebody else
            $table->boolean('is_demo')->default(false); // has the demo's password, which the login page tells
        });
        foreach (DB::table('users')->get(['id', 'password']) as $user) {
            if (Hash::check('pace', $user->password)) {
                DB::table('users')->where('id', $user->id)->update(['is_demo' => true]);
            }
        }
    }
};
